import { expect, PHONE, test } from './lib/classroom.js';

test('a question as a class goes through it: nudged, more time, talked about without a name, followed up', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  const key = await teacher.openRoom();
  const audience = await teacher.openAudience();
  const [elin, femi] = [await newPupil('Elin'), await newPupil('Femi', PHONE)];
  for (const pupil of [elin, femi]) await pupil.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await elin.read('8', '30');
  await elin.expectKept();

  await page.getByRole('button', { name: 'Remind 1' }).click();
  await expect(femi.page.getByText('Your teacher waits for your answer.')).toBeVisible();
  await expect(elin.page.getByText('Your teacher waits for your answer.')).toBeHidden();
  await page.getByRole('button', { name: '2 min more' }).click();
  await expect(femi.page.getByRole('timer')).toContainText(/1\d\d seconds to think/);
  await femi.read('7', '30');
  await femi.expectKept();

  await page.getByRole('button', { name: 'Hide names and marks' }).click();
  await expect(teacher.wall).not.toContainText('Elin');
  await page.getByRole('button', { name: 'Hide names and marks' }).click();
  await page.getByRole('button', { name: 'Answers of Elin' }).click();
  await expect(page.getByRole('region', { name: 'Elin so far' })).toContainText('What time is it?');

  await page.getByRole('button', { name: 'Close it' }).click();
  await page.getByRole('button', { name: /^Talk about it/ }).click();
  for (const window of [audience, femi.page]) {
    await expect(window.getByRole('img', { name: /How could somebody get this/ })).toBeVisible();
    await expect(window.locator('body')).not.toContainText('Elin');
  }
  await page.keyboard.press('PageDown'); // back to the script
  await page.keyboard.press('PageDown');
  await teacher.goTo('Answer');
  await page.getByRole('button', { name: /^Follow up A/ }).click();
  await expect(teacher.wall).toContainText('0 of 2 answered');
  await expect(femi.stem).not.toHaveText('');
});

test('“Ready?” and “Show me your clocks” come back at once, from everybody', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const { page } = teacher;
  const key = await teacher.openRoom();
  const [gita, hamza] = [await newPupil('Gita'), await newPupil('Hamza', PHONE)];
  for (const pupil of [gita, hamza]) await pupil.join(key);
  await teacher.begin();
  await page.getByRole('button', { name: 'Ready?' }).click();
  await gita.page.getByRole('button', { name: 'Ready', exact: true }).click();
  await hamza.page.getByRole('button', { name: 'Not yet' }).tap();
  await expect(teacher.wall).toContainText('1 of 2 ready · not yet: Hamza');
  await hamza.page.getByRole('button', { name: 'Ready', exact: true }).tap();
  await expect(teacher.wall).toContainText('2 of 2 ready');

  await page.getByRole('button', { name: 'Show me your clocks' }).click();
  const hand = hamza.page.getByRole('slider', { name: /long hand|minute hand/i });
  await hand.focus();
  await hand.press('ArrowUp');
  await expect(page.getByRole('img', { name: /The clock of Hamza at 10:1[15]/ })).toBeVisible();
  await page.getByRole('button', { name: 'Put the clocks away' }).click();
  await expect(hamza.page.getByText('Show your clock.')).toBeHidden();
});

test('a newcomer waits at the door under an own name, and is let in; a teacher on two devices sees the same', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const key = await teacher.openRoom('Half past at the harbour', 'asks');
  const tablet = await teacher.page.context().newPage();
  await tablet.goto(teacher.page.url());
  const marit = await newPupil('Marit');
  await marit.enterKey(key);
  await marit.page.getByText('I am new here').click();
  await marit.page.getByLabel('My name').fill('Marit');
  await marit.page.getByRole('button', { name: 'Come in' }).click();
  await expect(marit.page.getByText('You are at the door, Marit.')).toBeVisible();
  await tablet.getByRole('button', { name: 'Let Marit in, who is not on the list' }).click();
  await expect(marit.page.getByText('You are in, Marit.')).toBeVisible();
  await tablet.getByRole('button', { name: 'Begin the lesson' }).click();
  await expect(teacher.place).toContainText('Step 1 of');
});
