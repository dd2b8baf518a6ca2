import { expectAccessible } from './lib/accessible.js';
import { expect, PHONE, test } from './lib/classroom.js';

test('a lesson is given out, gone through at two paces, through a line that drops and on another device, and seen by its teacher', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  await teacher.fromMenu('Half past at the harbour', 'Give at own pace');
  await page.getByRole('radio', { name: 'these pupils:' }).check();
  for (const name of ['Elin', 'Femi', 'Gita']) await page.getByRole('checkbox', { name }).check();
  await page.getByRole('radio', { name: /six pictures/ }).check();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Give it to 3 pupils' }).click();
  await expect(page.getByText('0 of 3 are done')).toBeVisible();
  const key = (await page.getByRole('list', { name: 'Room key' }).getByRole('listitem').allInnerTexts()).map((text) => text.trim());
  const row = (name: string) => page.getByRole('row', { name: new RegExp(`^${name}`) });

  const elin = await newPupil('Elin', PHONE);
  await elin.enterKey(key);
  await elin.page.getByRole('button', { name: 'Elin' }).tap();
  await expect(elin.page.getByText(/^Good morning, Terns/)).toBeVisible();
  const goOn = elin.page.getByRole('button', { name: 'Go on' });
  const step = async (number: number) => expect(elin.page.getByText(`Step ${number} of`)).toBeVisible();
  for (let at = 1; !(await elin.page.getByText('Answer, and it goes on.').isVisible()); at++) {
    await step(at);
    await goOn.tap();
    await step(at + 1);
  }
  await expect(elin.stem).toHaveText('What time is it?');
  await expectAccessible(elin.page);

  await test.step('the line drops: the answer is safe on the device, and what follows comes with the line', async () => {
    await elin.page.context().setOffline(true);
    await elin.read('8', '30');
    await expect(elin.page.getByText('Your answer is safe on this device.')).toBeVisible();
    await elin.page.context().setOffline(false);
    await expect(elin.sentence).toContainText('The short hand has passed 7 and not reached 8 yet');
    await expect(row('Elin')).toContainText('8:30');
  });

  await test.step('one line to her, and she goes back to where it was shown', async () => {
    await page.getByRole('button', { name: 'Write one line to Elin' }).click();
    await page.getByRole('dialog').getByLabel('One line').fill('Look at the short hand.');
    await page.getByRole('dialog').getByRole('button', { name: 'Write' }).click();
    await expect(elin.page.getByText('Look at the short hand.')).toBeVisible();
    await elin.page.getByRole('button', { name: 'Back' }).tap();
    await elin.page.getByRole('slider', { name: /^Step/ }).fill('2');
    await step(2);
  });

  await test.step('on another device she comes in when the teacher says so, and stands where she stood', async () => {
    const tablet = await newPupil('Elin');
    await tablet.enterKey(key);
    await tablet.page.getByText('My name is not there').click();
    await tablet.page.getByRole('button', { name: 'Elin' }).click();
    await expect(tablet.page.getByRole('alert')).toContainText('Elin works on another device already.');
    await page.getByRole('button', { name: 'Let in on another device Elin' }).click();
    await expect(elin.page.getByText('You are out of the room.')).toBeVisible();
    await expect(page.getByText('Elin can come in on another device now, by the six pictures.')).toBeVisible();
    await tablet.page.getByRole('button', { name: 'Elin' }).click();
    await expect(tablet.page.getByText('Step 2 of')).toBeVisible();
    await tablet.page.reload();
    await expect(tablet.page.getByText('Step 2 of')).toBeVisible();
  });
  await expect(page.getByText('0 of 3 are done, 1 are on the way, 2 have not begun.')).toBeVisible();
  await page.getByRole('link', { name: 'Review the answers' }).click();
  await expect(page.getByRole('columnheader', { name: /Question 1, Read a dial, 7:30: all answers 0 of 1 right/ })).toBeVisible();
});
