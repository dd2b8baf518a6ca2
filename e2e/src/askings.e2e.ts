import { expect, PHONE, test } from './lib/classroom.js';

test('a question is asked again, and another like it: each has its own answers on the wall and in the review', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const audience = await teacher.openAudience();
  const elin = await newPupil('Elin');
  await elin.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await elin.read('8', '30');
  await elin.expectKept();
  await teacher.goTo('Answer');
  await expect(teacher.wall.getByRole('region', { name: /Another hour/ })).toContainText('Elin');

  await test.step('again: the pupil starts anew, the answer is hidden until it is shown', async () => {
    await teacher.page.getByRole('button', { name: 'Ask again' }).click();
    await expect(teacher.place).toContainText('Asked again');
    await expect(audience.getByRole('img', { name: /^What time is it\?/ })).toBeVisible();
    await expect(elin.page.getByRole('textbox', { name: 'Hour' })).toHaveValue('');
    await elin.read('7', '30');
    await elin.expectKept();
    await expect(teacher.wall).toContainText('1 of 1 answered');
    await teacher.page.getByRole('button', { name: 'Show the answer' }).click();
    await expect(elin.sentence).toHaveText('Yes, it is 7:30. You read both hands.');
    await expect(teacher.wall.getByRole('region', { name: 'Right' })).toContainText('Elin');
  });

  await test.step('another like it, by one key on and back to the script', async () => {
    await teacher.page.getByRole('button', { name: 'Ask another like it' }).click();
    await expect(teacher.place).toContainText('Another like it');
    await elin.read('1', '11');
    await elin.expectKept();
    await teacher.page.keyboard.press('PageDown');
    await expect(elin.sentence).toBeVisible();
    await teacher.page.keyboard.press('PageDown');
    await expect(teacher.place).toContainText('Ask');
    await expect(elin.stem).toHaveText('Set the hands to half past two.');
  });

  await teacher.end();
  const column = (name: RegExp) => expect(teacher.page.getByRole('columnheader', { name })).toBeVisible();
  await column(/Question 1, Read a dial, 7:30: all answers 0 of 1 right/);
  await column(/Question 2, Read a dial, 7:30, again: all answers 1 of 1 right/);
  await column(/Question 3, Read a dial, \d+:\d\d: all answers 0 of 1 right/);
});

test('of five clocks all that show a time are chosen, on a phone, and the reveal says which are right', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const key = await teacher.openRoom('Quarters at the tide gauge');
  const wren = await newPupil('Wren', PHONE);
  await wren.join(key);
  await teacher.begin();
  for (let ask = 0; ask < 4; ask++) await teacher.goTo('Ask');
  await expect(wren.stem).toHaveText('Choose all that show quarter to eight.');
  const choices = wren.page.getByRole('group', { name: /Choose all/ }).getByRole('button');
  await expect(choices).toHaveCount(5);
  for (const place of [1, 2, 3]) await choices.nth(place).tap();
  await wren.send();
  await wren.expectKept();
  await expect(teacher.wall.getByRole('region', { name: 'Leaves the short hand on the numeral' })).toContainText('B, C and D');
  await teacher.goTo('Answer');
  await expect(teacher.wall.getByRole('region', { name: 'Leaves the short hand on the numeral' })).toContainText('Wren');
  await expect(wren.page.getByRole('img', { name: /B: A clock dial\..* This one is right\..* D: .* This one is right\./ })).toBeVisible();
  await expect(wren.page.getByText('C can be no time: its hands do not agree.')).toBeVisible();
});

test('leaping over an answer shows it to nobody: not on the desk, not in the audience window', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const audience = await teacher.openAudience();
  const pia = await newPupil('Pia');
  await pia.join(key);
  await teacher.begin();
  for (let ask = 0; ask < 3; ask++) await teacher.goTo('Ask');
  // The console shows a step before the server has heard of it: what is told past the console comes after this one's answer.
  const told = teacher.page.waitForResponse(
    (reply) => reply.url().endsWith('/commands') && (reply.request().postData() ?? '').includes('"b13"'),
  );
  await teacher.goTo('Think');
  await told;
  // The script's last step, over the answer to the question that is only closed: as a teacher does who is out of time.
  await teacher.tell({ type: 'go', to: { beatId: 'b15', step: 'beat' } });
  await expect(teacher.place).toContainText('Say');
  for (const page of [audience, pia.page]) {
    await expect(page.getByRole('img', { name: /clock dial/ })).toBeVisible();
    await expect(page.getByRole('img', { name: /Display: 9 : 30|half past nine/ })).toHaveCount(0);
  }
});
