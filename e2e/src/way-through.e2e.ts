import { expect, test } from './lib/classroom.js';
import { Received } from './lib/received.js';

test('from the lesson to the reviewed response', async ({ teacher, newPupil }) => {
  await teacher.signInByForm();
  await teacher.to('Lessons');
  const key = await teacher.openRoom();
  const audience = await teacher.openAudience();
  await expect(audience.getByRole('list', { name: 'Room key' })).toBeVisible();

  const anouk = await newPupil('Anouk');
  const bashir = await newPupil('Bashir');
  const ceri = await newPupil('Ceri');
  const received = new Received(anouk.page);
  for (const pupil of [anouk, bashir, ceri]) await pupil.join(key);
  await expect(teacher.page.getByRole('button', { name: '3 of 26 are in' })).toBeVisible();

  await teacher.begin();
  await expect(audience.getByRole('img', { name: /clock dial/ })).toBeVisible();
  await teacher.goTo('Worked example');
  for (let step = 1; step < 6; step++) await teacher.next();
  // Generated, not typed in: the example of 4:30 ends with display and wordings, on every screen.
  for (const page of [audience, anouk.page]) await expect(page.getByRole('img', { name: /Display: 4 : 30.*half past four/ })).toBeVisible();

  await teacher.goTo('Ask');
  await expect(anouk.stem).toHaveText('What time is it?');
  await expect(teacher.wall).toContainText('Still thinking 3');
  await anouk.read('7', '30');
  await anouk.expectKept();
  await bashir.read('8', '30');
  await expect(teacher.wall.getByRole('region', { name: 'Right' })).toContainText('Right, 7:30');
  await expect(teacher.wall.getByRole('region', { name: 'Still thinking' })).toContainText('Ceri');
  // What an answer shows is the teacher's to know at once, and nobody else's before the answer is shown.
  await expect(teacher.wall.getByRole('region', { name: 'Another hour' })).toContainText('Bashir');
  await ceri.read('7', '06');
  await anouk.page.getByRole('button', { name: 'Change my answer' }).click();
  await anouk.read('7', '30');
  await anouk.expectKept();
  await teacher.next();
  await expect(anouk.page.getByRole('timer')).toBeAttached();

  await test.step('nothing but the picture told the device the key', async () => {
    const said = await received.said();
    // 7:30 is 27,000 s since midnight; other times that were shown on the stage before are no secret.
    expect(said.some((text) => text.includes('"read-dial"') && text.includes('"hourDeg":225'))).toBe(true);
    for (const text of said) {
      expect(text).not.toMatch(/verdict|misconception|sayToPupil|"timeSec":27000|half past seven|seven thirty|7:30|0?7[:.]30/i);
      expect(text.includes('"pupils"') ? '' : text).not.toMatch(/Bashir|Ceri/); // other names only in the list to choose one's own from
      expect(text).not.toMatch(/"hour":"8"|"minute":"06"/);
    }
    for (const file of await received.files()) expect(file).not.toMatch(/bakery boat|ferry leaves|puffin count starts/);
  });

  await teacher.next();
  await expect(anouk.sentence).toHaveText('Yes, it is 7:30. You read both hands.');
  await expect(bashir.sentence).toContainText('The short hand has passed 7 and not reached 8 yet');
  await expect(ceri.sentence).toContainText('Count round in fives');
  await expect(bashir.page.getByText('8:30')).toBeVisible();
  await expect(teacher.wall.getByRole('region', { name: 'Another hour' })).toContainText('Bashir');
  await expect(teacher.wall.getByRole('region', { name: 'Reads the 6 as 6 minutes' })).toContainText('Ceri');
  await expect(teacher.wall.getByRole('region', { name: 'Right' })).toContainText('Anouk');

  await test.step('the other direction: a geared dial, by dragging and by keys', async () => {
    await teacher.goTo('Ask');
    await expect(anouk.stem).toHaveText('Set the hands to half past two.');
    // The hands stand at ten o’clock: four turns and a half are half past two.
    await bashir.dragMinuteHand([...Array.from({ length: 4 }, () => [90, 180, 270, 0]).flat(), 90, 180]);
    await bashir.send();
    await anouk.turn('hour', 'ArrowRight', 5);
    await anouk.turn('minute', 'PageUp', 6);
    await anouk.send();
    await expect(teacher.wall.getByRole('region', { name: 'Right' })).toContainText('Bashir');
    await expect(teacher.wall.getByRole('img', { name: 'Dial set to 3:30' })).toBeVisible();
    await teacher.goTo('Answer');
    await expect(teacher.wall.getByRole('region', { name: 'Another answer' })).toContainText('Anouk');
    await expect(teacher.wall.getByRole('region', { name: 'Right' })).toContainText('Bashir');
    await expect(teacher.wall.getByRole('region', { name: 'No answer' })).toContainText('Ceri');
  });

  await test.step('free hands: the hour hand can be left on its numeral', async () => {
    await teacher.goTo('Ask');
    await ceri.turn('minute', 'PageUp', 6);
    await ceri.turn('hour', 'PageDown', 1);
    await ceri.send();
    await ceri.expectKept();
    await teacher.goTo('Answer');
    await expect(teacher.wall.getByRole('region', { name: 'Leaves the short hand on the numeral' })).toContainText('Ceri');
  });

  await teacher.end();
  const { page } = teacher;
  await expect(page.getByRole('columnheader', { name: /Question 1, Read a dial, 7:30: all answers 1 of 3 right/ })).toBeVisible();
  await page.getByRole('button', { name: 'Bashir, question 1: partly Another hour' }).click();
  await expect(page.locator('zp-response-card')).toContainText(/8:30\s*as given\s*7:30\s*right/);
  await page.getByRole('button', { name: /Ceri, question 3/ }).click();
  await expect(page.locator('zp-response-card').getByRole('img', { name: /hands do not agree/ })).toBeVisible();
  await expect(page.locator('zp-response-card').getByRole('img', { name: 'Dial set to 9:30' })).toBeVisible();
  await expect(anouk.page.getByText('The lesson is over.')).toBeVisible();
});
