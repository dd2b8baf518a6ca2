import { expect, PHONE, test } from './lib/classroom.js';

test('two pupils share a phone: a touch says whose turn it is, and their answers are kept apart', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const elin = await newPupil('Elin', PHONE);
  const { page } = elin;
  await elin.join(key);
  await page.getByRole('button', { name: 'More', exact: true }).tap();
  await page.getByRole('button', { name: 'Two of us here' }).tap();
  await page.getByRole('dialog').getByRole('button', { name: 'Femi' }).tap();
  await expect(page.getByText('You are in, Femi.')).toBeVisible();
  await expect(teacher.page.getByRole('button', { name: '2 of 26 are in' })).toBeVisible();
  await teacher.begin();
  await teacher.goTo('Ask');
  await elin.read('8', '30'); // Femi's turn
  await elin.expectKept();
  await page.getByRole('button', { name: 'Elin’s turn' }).tap();
  await expect(page.getByRole('textbox', { name: 'Hour' })).toHaveValue('');
  await elin.read('7', '30');
  await elin.expectKept();
  await expect(teacher.wall.getByRole('region', { name: 'Right' })).toContainText('Elin');
  await expect(teacher.wall.getByRole('region', { name: /Another hour/ })).toContainText('Femi');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Femi’s turn' })).toBeVisible();
  await teacher.goTo('Answer');
  await expect(elin.sentence).toHaveText('Yes, it is 7:30. You read both hands.');
  await page.getByRole('button', { name: 'Femi’s turn' }).tap();
  await expect(elin.sentence).toContainText('The short hand has passed 7');
});
