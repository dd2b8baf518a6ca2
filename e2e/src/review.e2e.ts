import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, test } from './lib/classroom.js';
import { drawTo } from './lib/draw-to.js';

/** Counts what a teacher presses and chooses on the way to something. */
class Actions {
  count = 0;
  constructor(private readonly page: Page) {}

  async press(role: 'link' | 'button' | 'menuitem' | 'tab', name: string | RegExp, exact = false): Promise<void> {
    this.count += 1;
    await this.page.getByRole(role, { name, exact }).click();
  }

  async choose(name: string, place: number): Promise<void> {
    this.count += 1;
    await this.page.getByRole('combobox', { name }).click();
    await this.page.getByRole('option').nth(place).click();
  }
}

test('two minutes after a lesson: who holds what, a group’s next lesson drafted on a day, all results out', async ({ teacher, server }) => {
  const { page } = teacher;
  await teacher.signIn();
  const ladder = `${server.url}/lessons`;

  await test.step('who holds what is two actions away, with the answers that show it', async () => {
    const acts = new Actions(page);
    await acts.press('link', 'Review', true);
    await acts.press('tab', 'Ideas');
    const nearest = page.getByRole('region', { name: /^Takes the nearest numeral/ });
    await expect(nearest.getByRole('row', { name: /^Dov settled/ })).toBeVisible();
    expect(acts.count).toBeLessThanOrEqual(2);
    await nearest.getByRole('button', { name: /answers of Dov that could show/ }).click();
    const shown = page.getByRole('region', { name: 'Dov: takes the nearest numeral' });
    await expect(shown.getByRole('listitem').first()).toContainText('Dov');
    await shown
      .getByRole('link', { name: /question/ })
      .first()
      .click();
    // The answer itself, in its lesson.
    await expect(page.getByRole('heading', { name: /^Dov, question \d+$/ })).toBeVisible();
    await expect(page.getByText('as given')).toBeVisible();
  });

  await test.step('from a group to its drafted lesson, with set and date, in three actions', async () => {
    await page.goto(ladder);
    const acts = new Actions(page);
    await acts.press('link', 'Review', true);
    await expect(page.getByText('6 questions, made to measure').first()).toBeVisible();
    await acts.choose('The next lesson', 1);
    await acts.press('button', /^Draft the lesson for .*, They take the nearest numeral/);
    await expect(page).toHaveURL(/\/lessons\//);
    expect(acts.count).toBeLessThanOrEqual(3);
    const lessonId = page.url().split('/').at(-1)!;
    const { lesson } = await (await page.request.get(`${server.url}/api/lessons/${lessonId}`)).json();
    expect(lesson.beats.filter(({ kind }: { kind: string }) => kind === 'ask').length).toBeGreaterThanOrEqual(4);
    const [{ id: classId }] = await (await page.request.get(`${server.url}/api/classes`)).json();
    const { plan } = await (await page.request.get(`${server.url}/api/classes/${classId}/plan`)).json();
    // Beside the class's own lesson, which stays.
    expect(plan.beside.map((one: { lessonId: string }) => one.lessonId)).toEqual([lessonId]);
    expect(plan.series.lessonIds).not.toContain(lessonId);
  });

  await test.step('results are out in two actions, and come in again without anything new', async () => {
    await page.goto(ladder);
    await teacher.to('Review');
    const acts = new Actions(page);
    await acts.press('button', 'Export');
    const [download] = await Promise.all([page.waitForEvent('download'), acts.press('menuitem', /^All results for a spreadsheet/)]);
    expect(acts.count).toBeLessThanOrEqual(2);
    const file = await readFile(await download.path());
    expect(file.toString('utf8')).toMatch(/^\uFEFFpupil,reference,lesson/);
    await page.getByRole('button', { name: 'Export' }).click();
    await page.getByRole('menuitem', { name: /results from a file/ }).click();
    await page.getByLabel('Choose a file').setInputFiles({ name: 'results.csv', mimeType: 'text/csv', buffer: file });
    await expect(page.getByText('There is nothing new in it.')).toBeVisible();
    await page.getByLabel('Choose a file').setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n1,2\n') });
    await expect(page.getByRole('alert')).toContainText('data_json is missing');
  });
});

test('groups are the teacher’s: a pupil is moved by hand, stays there after a reload, and goes back', async ({ teacher }) => {
  const { page } = teacher;
  await teacher.signIn();
  await teacher.to('Review');
  const group = page.getByRole('region', { name: /^They keep the hour for “to”/ });
  await expect(group.getByRole('link', { name: 'Oskar' })).toBeVisible();
  // The group works on further ideas as well, which its name tells.
  const toKeeps = `to “${await group.getAttribute('aria-label')}”`;
  const moved = page.waitForResponse((reply) => reply.url().endsWith('/moves'));
  await page.getByRole('button', { name: 'Move Dov' }).click();
  await page.getByRole('menuitem', { name: toKeeps }).click();
  await moved;
  await expect(group.getByRole('link', { name: 'Dov' })).toBeVisible();
  await page.reload();
  await expect(group.getByRole('link', { name: 'Dov' })).toBeVisible();
  await page.getByRole('button', { name: 'Move Dov' }).click();
  await page.getByRole('menuitem', { name: 'back to where it was proposed' }).click();
  const proposed = page.getByRole('region', { name: /^They take the nearest numeral/ });
  await expect(proposed.getByRole('link', { name: 'Dov' })).toBeVisible();
  // The same by hand: a name is drawn to another group.
  const dragged = page.waitForResponse((reply) => reply.url().endsWith('/moves'));
  await drawTo(page, proposed.getByRole('listitem').filter({ hasText: 'Dov' }), group.getByRole('list', { name: 'Pupils' }));
  await dragged;
  await expect(group.getByRole('link', { name: 'Dov' })).toBeVisible();
});

test('a mark is corrected with a reason while the lesson runs, everything follows at once, and it is taken back', async ({
  teacher,
  newPupil,
  page,
  context,
}) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const anouk = await newPupil('Anouk');
  await anouk.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await anouk.read('8', '30');
  await expect(teacher.wall.getByRole('region', { name: /Another hour/ })).toContainText('Anouk');
  await teacher.next();
  await teacher.next();
  await expect(anouk.sentence).toContainText('short hand');

  // In another window, beside the console.
  const review = await context.newPage();
  await review.goto(page.url().replace('/console/', '/review/'));
  await review.getByRole('button', { name: /^Anouk, question 1: partly/ }).click();
  await review.getByText('Correct this mark').click();
  await review.getByRole('button', { name: 'Correct it' }).click();
  await expect(review.getByRole('alert')).toContainText('Say why');
  await review.getByLabel('Why').fill('Said half past seven aloud.');
  await review.getByRole('button', { name: 'Correct it' }).click();
  await expect(review.getByRole('columnheader', { name: /Question 1/ })).toContainText('1 of 1 right');
  await expect(anouk.sentence).toHaveText('Yes, it is 7:30. You read both hands.');
  await expect(teacher.wall.getByRole('region', { name: 'Right' })).toContainText('Anouk');
  await review.reload();
  await review.getByRole('button', { name: /^Anouk, question 1: right.*corrected/ }).click();
  await expect(review.getByText('Corrected from “partly”: Said half past seven aloud.')).toBeVisible();
  await review.getByRole('button', { name: 'Take it back' }).click();
  await expect(anouk.sentence).toContainText('short hand');
  await expect(review.getByRole('columnheader', { name: /Question 1/ })).toContainText('0 of 1 right');
});

test('a pupil over the weeks with remarks, and a page for home that is edited, kept and printed', async ({ teacher }) => {
  const { page } = teacher;
  await teacher.signIn();
  await teacher.to('Review');
  await page.getByRole('tab', { name: 'Who can do what' }).click();
  await page.getByRole('row', { name: /^Jory/ }).getByRole('link', { name: 'Jory' }).click();
  await expect(page.getByText('Reads the 9 as 9 minutes: settled', { exact: false })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Over the weeks, as a table' })).toContainText('Reads the 9 as 9 minutes');
  await expect(page.locator('zp-chart svg')).toBeVisible();
  await page.getByRole('switch', { name: 'With intervals' }).click();
  await expect(page.getByText(/of 100 such questions right today/).first()).toBeVisible();
  await page.getByLabel('A remark, for you alone').fill('Counts in ones, not in fives.');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Counts in ones, not in fives.')).toBeVisible();

  await page.getByRole('link', { name: 'Page for home' }).click();
  const sheet = page.getByRole('region', { name: 'Page for the home of Jory' });
  await sheet.getByLabel('One thing to try at home').fill('Count in fives while you brush your teeth.');
  await expect(sheet.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(sheet.getByLabel('One thing to try at home')).toHaveValue('Count in fives while you brush your teeth.');
  await page.emulateMedia({ media: 'print' });
  await expect(sheet.getByText('Count in fives while you brush your teeth.')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Looks at this class' })).toBeHidden();
  await expect(page.getByRole('heading', { name: /^Terns/ })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await sheet.getByRole('button', { name: /^As proposed/ }).click();
  await expect(sheet.getByLabel('One thing to try at home')).not.toHaveValue(/brush your teeth/);
});

test('a lesson is looked through by keyboard: what stood out, a question with its answers, one answer', async ({ teacher }) => {
  const { page } = teacher;
  await teacher.signIn();
  await page
    .getByRole('link', { name: /^Review ./ })
    .first()
    .click();
  const first = page.getByRole('region', { name: 'What stood out' }).getByRole('listitem').first();
  await first.getByRole('button').focus();
  const sentence = (await first.locator('p').innerText()).trim();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: sentence })).toBeFocused();
  await page.getByRole('button', { name: 'Close these answers' }).press('Enter');
  await page.getByRole('button', { name: /^Question 1,.*all answers/ }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Question 1', exact: true })).toBeVisible();
  await expect(page.locator('zp-question-card')).toContainText('What it told');
  await page.locator('zp-question-card').getByRole('button', { name: 'Jory' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Jory, question 1' })).toBeFocused();
  await page.locator('zp-response-card').getByRole('button', { name: 'Close' }).press('Enter');
  await expect(page.getByRole('button', { name: /^Question 1,.*all answers/ })).toBeFocused();
  await page.getByRole('combobox', { name: 'Pupils' }).click();
  await page.getByRole('option', { name: 'with an answer that is not right' }).click();
  await expect(page.locator('zp-answer-grid').getByRole('status')).toHaveText(/^\s*\d+ of \d+ pupils\s*$/);
  await page.getByText('Beat by beat').click();
  await expect(page.locator('zp-session-log zp-chart svg').first()).toBeVisible();
});
