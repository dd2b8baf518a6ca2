import { expect, test } from './lib/classroom.js';
import { dragOnDial } from './lib/drag-on-dial.js';

test('the teacher leaves the script on the dial itself, everybody follows, and one key comes back', async ({ teacher, newPupil }) => {
  const { page } = teacher;
  await teacher.signIn();
  const key = await teacher.openRoom();
  const audience = await teacher.openAudience();
  const tove = await newPupil('Tove');
  await tove.join(key);
  await teacher.begin();
  await teacher.goTo('Set');
  const stage = page.locator('zp-script-stage');
  const seen = (where: typeof page, digits: string) => where.getByRole('img', { name: `Display: ${digits}` });
  await expect(seen(audience, '4 : 00')).toBeVisible();

  await dragOnDial(stage, [
    [0, 0.9],
    [60, 0.9],
    [120, 0.9],
  ]);
  await expect(teacher.place).toContainText('4:20 twenty past four');
  for (const one of [audience, tove.page]) await expect(seen(one, '4 : 20')).toBeVisible();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowLeft');
  await expect(seen(audience, '4 : 24')).toBeVisible();

  await page.keyboard.press('t');
  await page.keyboard.type('quarter to 25');
  await page.keyboard.press('Enter');
  await expect(stage.getByRole('alert')).not.toBeEmpty();
  await expect(seen(audience, '4 : 24')).toBeVisible();
  await page.getByLabel('Time', { exact: true }).fill('quarter to 8');
  await page.keyboard.press('Enter');
  for (const one of [audience, tove.page]) await expect(seen(one, '7 : 45')).toBeVisible();

  const rings = (where: typeof page) => where.locator('[data-role="dial"] .s-accent');
  await stage.getByRole('button', { name: 'ring' }).click();
  await dragOnDial(stage, [[270, 0.7]]);
  for (const one of [audience, tove.page]) await expect(rings(one)).toHaveCount(1);
  await page.keyboard.press('Backspace');
  for (const one of [audience, tove.page]) await expect(rings(one)).toHaveCount(0);

  await page.reload();
  await expect(teacher.place).toContainText('7:45');
  // A tap on the audience window brings the script back as well as a key does.
  await audience.locator('main').evaluate((main) => main.dispatchEvent(new PointerEvent('click', { bubbles: true, pointerType: 'touch' })));
  await expect(teacher.place).not.toContainText('Beside the script');
  for (const one of [audience, tove.page]) await expect(seen(one, '4 : 00')).toBeVisible();
  await expect(teacher.place).toContainText('Step 2 of');

  await teacher.goTo('Ask');
  await expect(tove.stem).toHaveText('What time is it?');
  await page.keyboard.press('ArrowRight');
  await expect(teacher.place).toContainText('Beside the script');
  await tove.read('7', '30');
  await tove.expectKept();
  await page.keyboard.press('Escape');
  await expect(teacher.place).not.toContainText('Beside the script');
});

test('either half of the keyboard is enough to teach with', async ({ teacher }) => {
  const { page } = teacher;
  await teacher.signIn();
  await teacher.openRoom();
  await teacher.begin();
  await teacher.goTo('Set');
  const aside = teacher.place;
  const hands = {
    left: { on: 'Space', back: 'Shift+Space', minute: 'd', fives: 'w', pointer: 'r', wipe: 'x', script: 'Escape', list: 'F1' },
    right: {
      on: 'PageDown',
      back: 'PageUp',
      minute: 'ArrowRight',
      fives: 'ArrowUp',
      pointer: 'p',
      wipe: 'Backspace',
      script: '.',
      list: '?',
    },
  };
  const goOn = page.locator('.go');
  const placeOf = async () => (await goOn.boundingBox())?.y;
  const before = await placeOf();
  for (const keys of Object.values(hands)) {
    await page.keyboard.press(keys.fives);
    await page.keyboard.press(keys.minute);
    await expect(aside).toContainText('4:06');
    await expect.poll(placeOf).toBe(before); // the thumb stays where it is
    await page.keyboard.press(keys.pointer);
    const form = page.locator('zp-point-at');
    await form.getByRole('combobox').click();
    await page.getByRole('option', { name: '6', exact: true }).click();
    await form.getByRole('button', { name: 'Ring it' }).click();
    await expect(page.getByRole('button', { name: 'Wipe' })).toBeEnabled();
    await page.keyboard.press(keys.wipe);
    await expect(page.getByRole('button', { name: 'Wipe' })).toBeDisabled();
    await page.keyboard.press(keys.script);
    await expect(aside).not.toContainText('Beside the script');
    await page.keyboard.press(keys.on);
    await expect(teacher.place).toContainText('Step 3 of');
    await page.keyboard.press(keys.back);
    await expect(teacher.place).toContainText('Step 2 of');
    await page.keyboard.press(keys.list);
    await expect(page.getByRole('dialog', { name: 'Console' })).toBeVisible();
    await page.keyboard.press('Escape');
  }
  await page.keyboard.press('7');
  await page.keyboard.type('45');
  await page.keyboard.press('Enter');
  await expect(aside).toContainText('7:45');

  await page.getByRole('button', { name: 'Help with this place' }).click();
  await page.getByRole('switch', { name: /act as keys/ }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.keyboard.press('w');
  await page.keyboard.press('ArrowRight');
  await expect(aside).toContainText('7:46');
});
