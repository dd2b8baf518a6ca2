import { expect, test } from './lib/classroom.js';
import type { TeacherPage } from './lib/teacher.js';

/** A room of so many simulated pupils who are quick, ready to be filled. */
async function simulated(teacher: TeacherPage, count: string): Promise<void> {
  const { page } = teacher;
  await teacher.fromMenu('Half past at the harbour', 'Try with simulated pupils');
  await page.getByRole('button', { name: 'How they are' }).click();
  await page.getByLabel('How many').fill(count);
  await page.getByRole('combobox', { name: 'Pace' }).click();
  await page.getByRole('option', { name: 'quick, to try things out' }).click();
}

test('a room is filled with simulated pupils at a press; they answer, are marked as what they are, and count for no class', async ({
  teacher,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  await simulated(teacher, '36');
  await page.getByRole('button', { name: 'Fill the room with 36' }).click();
  await expect(teacher.page.getByRole('button', { name: '36 of 36 are in' })).toBeVisible();
  await teacher.begin();
  await teacher.goTo('Ask');
  await expect(teacher.wall).toContainText('36 of 36 answered');
  // The whole class on one screen beside the stage, without scrolling.
  const last = teacher.wall.getByRole('button', { name: /^Answers of/ }).last();
  expect((await last.boundingBox())!.y).toBeLessThan(800);
  await expect(page.getByText(/· Rehearsal$/)).toBeVisible();
  await teacher.end();
  await expect(page.getByText('simulated pupils: a rehearsal, which counts for no class')).toBeVisible();
  await teacher.to('Lessons');
  await page.getByRole('button', { name: /Choose a class$/ }).click();
  await expect(page.getByRole('menuitem', { name: /pupils$/ })).toHaveText([/Terns/]);
});

test('a class of 26 with a line in ten that drops at each question: every answer arrives, and nobody waits for the others', async ({
  teacher,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  await simulated(teacher, '26');
  await page.getByRole('combobox', { name: 'Lines' }).click();
  await page.getByRole('option', { name: 'one line in ten drops at a question' }).click();
  await page.getByRole('button', { name: 'Fill the room with 26' }).click();
  await expect(page.getByRole('button', { name: '26 of 36 are in' })).toBeVisible();
  await teacher.begin();
  for (let question = 0; question < 3; question++) {
    await teacher.goTo('Ask');
    await expect(teacher.wall).toContainText('26 of 26 answered');
  }
  await teacher.end();
  await expect(page.getByText('simulated pupils: a rehearsal, which counts for no class')).toBeVisible();
});

test('answers on paper are typed in by keyboard alone, marked as they are left, and taken back', async ({ teacher }) => {
  await teacher.signIn();
  const { page } = teacher;
  await page.getByRole('link', { name: 'Review Five-minute steps on the mail boat' }).click();
  await page.getByRole('link', { name: 'Type answers in' }).click();
  const field = (name: string) => page.getByRole('textbox', { name: `${name}, question 1` });
  await field('Inka').focus();
  await page.keyboard.type('7:0');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Kept for Inka.')).toBeVisible();
  await expect(field('Jory')).toBeFocused();
  await field('Viggo').focus();
  await page.keyboard.type('seven');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“seven” is no answer to this question. Type it like 7:30');
  await field('Viggo').fill('?');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Kept for Viggo.')).toBeVisible();
  await field('Viggo').fill('');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Taken back for Viggo.')).toBeVisible();
  await page.reload();
  await expect(field('Inka')).toHaveValue('7:0');
  await expect(field('Viggo')).toHaveValue('');
});
