import { expect, test } from './lib/classroom.js';

test('from a wish to a taught question: a lesson is drafted, opened and asked in six actions', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const { page } = teacher;
  // The wish: where we are and how long; live is chosen already. Three actions, and the fourth opens the room.
  await page.getByRole('combobox', { name: 'We are at' }).selectOption('Quarter past');
  await page.getByRole('spinbutton', { name: 'Minutes' }).fill('12');
  await page.getByRole('button', { name: 'Draft it' }).click();
  await expect(page.getByText('Drafted just now, ready to teach.')).toBeVisible();
  await expect(page.getByText('12 min planned of 12')).toBeVisible();
  const key = await teacher.openRoom('Quarter past, 12 minutes');
  const anouk = await newPupil('Anouk');
  await anouk.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await expect(anouk.stem).toHaveText('What time is it?');
  await anouk.read('3', '00');
  await anouk.expectKept();
  await teacher.goTo('Answer');
  await expect(anouk.sentence).toBeVisible();
});
