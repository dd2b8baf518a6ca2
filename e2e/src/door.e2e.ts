import { expect, test } from './lib/classroom.js';

test('pupils wait at the door and are let in one by one or all at once; a late comer knocks at the closed door', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  const key = await teacher.openRoom('Half past at the harbour', 'asks');
  const [anouk, bashir, ceri, dov] = [await newPupil('Anouk'), await newPupil('Bashir'), await newPupil('Ceri'), await newPupil('Dov')];
  for (const pupil of [anouk, bashir, ceri]) {
    await pupil.join(key);
    await expect(pupil.stem).toHaveText(`You are at the door, ${pupil.name}.`);
  }
  await page.getByRole('button', { name: 'Let Bashir in' }).click();
  await expect(bashir.stem).toHaveText('You are in, Bashir.');
  await expect(anouk.stem).toContainText('at the door');
  await page.getByRole('button', { name: 'Let all 2 in' }).click();
  for (const pupil of [anouk, ceri]) await expect(pupil.stem).toHaveText(`You are in, ${pupil.name}.`);
  await expect(page.getByRole('button', { name: '3 of 26 are in' })).toBeVisible();

  await teacher.begin();
  await teacher.more('Late comers: the door is open for 10 more minutes');
  await page.getByRole('button', { name: 'Close the door' }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await dov.enterKey(key);
  await expect(dov.page.getByRole('alert')).toContainText('No open door has these four pictures');
  await dov.page.getByRole('button', { name: 'Knock at the door' }).click();
  await expect(dov.stem).toHaveText('You have knocked.');
  await page.getByRole('button', { name: 'Open to them' }).click();
  await dov.page.getByRole('button', { name: 'Dov', exact: true }).click();
  await page.getByRole('button', { name: 'Let Dov in' }).click();
  await expect(dov.page.getByRole('heading', { name: 'Half past at the harbour' })).toBeAttached();
  await expect(page.getByRole('button', { name: '4 of 26 are in' })).toBeVisible();
});

test('an answer given in time that arrives after the close is kept as late, and the teacher lets it count', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const [anouk, bashir] = [await newPupil('Anouk'), await newPupil('Bashir')];
  for (const pupil of [anouk, bashir]) await pupil.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await bashir.read('7', '30');
  await bashir.expectKept();
  await anouk.page.context().setOffline(true);
  await anouk.read('7', '30');
  await expect(anouk.page.getByText('Your answer is safe on this device.')).toBeVisible();
  await teacher.page.getByRole('button', { name: 'Close it' }).click();
  await expect(teacher.wall).toContainText('closed');
  await anouk.page.context().setOffline(false);
  await expect(anouk.page.getByText('It came a little late.')).toBeVisible();
  await expect(teacher.wall).toContainText('1 of 2 answered');
  await teacher.goTo('Answer');
  await teacher.page.getByRole('button', { name: /^Late answer of Anouk, given in time by the device’s clock/ }).click();
  await expect(teacher.wall).toContainText('2 of 2 answered');
  await expect(teacher.page.getByRole('region', { name: 'Right' })).toContainText('Anouk');
  await teacher.end();
  await teacher.page.getByRole('button', { name: /^Anouk, question 1/ }).click();
  await teacher.page.getByRole('button', { name: 'Do not let it count' }).click();
  await expect(teacher.page.getByRole('button', { name: 'Anouk, question 1: right , late, not counted' })).toBeVisible();
});
