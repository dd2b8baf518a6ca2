import { expect, PHONE, test } from './lib/classroom.js';

const LIST = '\uFEFFVorname;Nachname;Kennung\r\nMarit;Dal;a-1\r\nIvo;Holm;a-2\r\nIvo;Ness;a-3\r\n;Nameless;a-4\r\n';

test('a list comes in, cards are printed, and a card leads its pupil to the lesson, on a second device too', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const office = teacher.page;
  await office.getByRole('button', { name: /Choose a class$/ }).click();
  await office.getByRole('menuitem', { name: 'New class' }).click();
  await office.getByRole('button', { name: 'Edit names' }).click();
  const name = office.getByRole('textbox', { name: 'Name of the class' });
  await name.fill('Gannets');
  await name.blur();
  await office.getByRole('button', { name: 'Take in a list' }).click();
  await office.getByLabel('List of pupils').setInputFiles({ name: 'gannets.csv', mimeType: 'text/csv', buffer: Buffer.from(LIST) });
  await expect(office.getByText('Line 5: There is no name in this row.')).toBeVisible();
  await office.getByRole('button', { name: 'Take 3 pupils into the class' }).click();
  // A class that begins is led on to its cards.
  await expect(office.getByRole('checkbox', { name: 'Ivo N.' })).toBeChecked();
  await office.getByRole('button', { name: 'Make 3 cards' }).click();
  const card = office.getByRole('list', { name: 'Cards' }).getByRole('listitem').filter({ hasText: 'Marit' });
  await expect(card.getByRole('img', { name: 'QR code of the card of Marit' })).toBeVisible();
  const token = (await card.locator('.link').innerText()).split('#card=')[1]!;

  const phone = await newPupil('Marit', PHONE);
  await phone.page.goto(`${new URL(office.url()).origin}/desk#card=${token}`);
  await expect(phone.page.getByText('No lesson is open for you just now.')).toBeVisible();

  await office.goto(`${new URL(office.url()).origin}/lessons`);
  await expect(office.getByRole('button', { name: /^Class Gannets, 3 pupils/ })).toBeVisible();
  await teacher.openRoom('Half past at the harbour', 'asks');
  // It looks again by itself, and nobody who shows a card waits at the door.
  await expect(phone.page.getByRole('heading', { name: 'You are in, Marit.' })).toBeVisible();
  await teacher.begin();
  await teacher.goTo('Ask');
  await phone.read('8', '30');
  await phone.expectKept();

  const tablet = await newPupil('Marit');
  await tablet.page.goto(`${new URL(office.url()).origin}/desk#card=${token}`);
  await expect(tablet.page.getByText('Kept.')).toBeVisible();
  await expect(phone.page.getByText('You have come in on another device.')).toBeVisible();
  await phone.page.getByRole('button', { name: 'Half past at the harbour' }).tap();
  await expect(phone.page.getByText('Kept.')).toBeVisible();
  await expect(tablet.page.getByText('You have come in on another device.')).toBeVisible();
});
