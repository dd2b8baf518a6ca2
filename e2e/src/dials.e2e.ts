import { expect, test } from './lib/in-dials.js';

test('geared hands: dragging through 12 carries the hour, over many turns and back, in one step each', async ({ dials }) => {
  await dials.type('3:50');
  await dials.drag([300, 0.9], [0, 0.9], [60, 0.9]);
  await expect(dials.reading).toContainText('4:10');
  await dials.drag([60, 0.9], [0, 0.9], [270, 0.9], [180, 0.9], [90, 0.9], [0, 0.9], [300, 0.9]);
  await expect(dials.reading).toContainText('2:50');
  await dials.page.keyboard.press('Control+z');
  await expect(dials.reading).toContainText('4:10');
  await dials.page.keyboard.press('Control+z');
  await expect(dials.reading).toContainText('3:50');
  await dials.page.keyboard.press('Control+y');
  await expect(dials.reading).toContainText('4:10');
  await dials.drag([125, 0.4], [140, 0.4]);
  await expect(dials.reading).toContainText('4:40');
});

test('keys nudge by 1, 5, 15, 30 and 60 minutes, and the reading goes along in digits, words and the hour hand’s way', async ({
  dials,
}) => {
  await dials.type('7:00');
  await dials.stage.click({ position: { x: 5, y: 5 } });
  for (const [key, digits] of [
    ['ArrowRight', '7:01'],
    ['ArrowUp', '7:06'],
    ['PageUp', '7:21'],
    ['Shift+PageUp', '7:51'],
    ['Home', '8:51'],
    ['Shift+ArrowRight', '8:56'],
    ['Shift+A', '8:51'],
    ['Shift+S', '7:51'],
    ['Shift+Q', '7:21'],
    ['q', '7:06'],
    ['s', '7:01'],
    ['a', '7:00'],
  ] as const) {
    await dials.page.keyboard.press(key);
    await expect(dials.reading).toContainText(digits);
  }
  await dials.type('half past 7');
  await expect(dials.reading).toContainText('half past seven');
  await expect(dials.reading).toContainText('The hour hand has passed 7 and is half way to 8.');
});

test('typed times that are none say why, and nothing changes', async ({ dials }) => {
  await dials.type('0745');
  for (const [text, sentence] of [
    ['25:00', 'There is no hour 25'],
    ['7:60', 'write 8:00'],
    ['halb acht', 'is German'],
    ['', 'Type a time'],
    ['x'.repeat(5000), 'too long'],
  ] as const) {
    await dials.type(text);
    await expect(dials.problem).toContainText(sentence);
    await expect(dials.reading).toContainText('7:45');
  }
});

test('free hands say what is impossible and why, and let go into gear', async ({ dials }) => {
  await dials.type('9:00');
  await dials.toggle('Hands', 'Free');
  await dials.drag([0, 0.9], [90, 0.9], [180, 0.9]);
  await expect(dials.reading).toContainText(
    'This cannot be: at half past, the hour hand is half way from the 9 to the 10; here it has not gone so far.',
  );
  await dials.toggle('Hands', 'Free');
  await expect(dials.reading).toContainText(/9:30|8:30/);
});

test('a sweep counts on the rim, can be stopped, and arrives as one step', async ({ dials }) => {
  await dials.page.emulateMedia({ reducedMotion: 'no-preference' });
  await dials.type('2:00');
  await dials.choose('Pace', 'fast');
  await dials.page.getByLabel('Time', { exact: true }).fill('2:30');
  await dials.page.getByRole('button', { name: 'Sweep', exact: true }).click();
  await expect(dials.stage.locator('text', { hasText: /^10$/ }).last()).toBeVisible();
  await expect(dials.reading).toContainText('2:30');
  await dials.stage.click({ position: { x: 5, y: 5 } });
  await dials.page.keyboard.press('Control+z');
  await expect(dials.reading).toContainText('2:00');
  await dials.choose('Pace', 'slow');
  await dials.page.getByRole('button', { name: 'Sweep', exact: true }).click();
  await dials.page.getByRole('button', { name: 'Redo' }).focus();
  await dials.page.keyboard.press('Escape');
  await expect(dials.reading).toContainText('2:00');
});

test('a sweep is overtaken by whoever takes the hands or another dial, and layers change while it runs', async ({ dials }) => {
  const { page } = dials;
  const sweepAway = async () => {
    await dials.type('2:00');
    await page.getByLabel('Time', { exact: true }).fill('2:30');
    await page.getByRole('button', { name: 'Sweep', exact: true }).click();
    await expect(dials.reading).toContainText('2:01');
  };
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await dials.choose('Pace', 'slow');
  await sweepAway();
  await dials.toggle('Face', 'Halves');
  await expect(dials.stage.locator('[data-role="dial"] path.s-soft')).toHaveCount(2);
  await page.keyboard.press('ArrowUp');
  await expect(dials.reading).toContainText(/2:0[6-9]/);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(dials.reading).toContainText('2:00');
  await sweepAway();
  await page.keyboard.press('Control+z'); // stops what moves, and takes nothing back
  await expect(dials.reading).toContainText('2:00');
  await sweepAway();
  await page.getByRole('button', { name: 'New dial' }).click();
  await dials.type('9:00');
  await expect(dials.reading).toContainText('9:00');
});

test('pointers stand on the dial, follow it, and are all gone with one key', async ({ dials }) => {
  const { page } = dials;
  const marks = dials.stage.locator('[data-role="dial"] .s-accent, [data-role="dial"] .f-accent');
  await dials.tool('Ring');
  await dials.drag([120, 0.7], [120, 0.7]);
  await dials.tool('Ray');
  await dials.drag([90, 0.8], [90, 0.8]);
  await dials.tool('Arc');
  await dials.drag([0, 0.9], [60, 0.9], [120, 0.9]);
  await expect(dials.stage.getByText('4 fives')).toBeVisible();
  await dials.tool('Ink');
  await dials.drag([200, 0.5], [230, 0.5], [260, 0.5]);
  await expect(marks).toHaveCount(4);
  await dials.page.keyboard.press('Backspace');
  await expect(marks).toHaveCount(0);
  await page.keyboard.press('r');
  await dials.choose('At', '2');
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await expect(dials.stage.locator('text', { hasText: /^2$/ })).toHaveCount(0);
  await page.keyboard.press('u');
  await expect(dials.stage.locator('text', { hasText: /^2$/ })).not.toHaveCount(0);
  await dials.tool('Gap');
  await dials.drag([60, 0.7], [60, 0.7]);
  await expect(dials.stage.locator('text', { hasText: /^2$/ })).toHaveCount(0);
});

test('several dials stand in order; any of them is taken up by a press on it or by its letter, changed and taken away', async ({
  dials,
}) => {
  const { page } = dials;
  const shown = (text: RegExp) => expect(dials.stage).toHaveAttribute('aria-label', text);
  const setAside = page.getByRole('button', { name: 'Second dial' });
  await dials.type('1:00');
  await setAside.click();
  await dials.type('2:30');
  await setAside.click();
  await dials.type('3:00');
  await shown(/A: .*hour hand points at 1\..* B: .*between 2 and 3\..* C: .*hour hand points at 3\./);
  const first = (await dials.stage.locator('[data-role="dial"] circle').first().boundingBox())!;
  await page.mouse.click(first.x + first.width / 2, first.y + first.height / 4);
  await expect(dials.reading).toContainText('1:00');
  await dials.type('5:00');
  await shown(/A: .*hour hand points at 5\..* C: .*hour hand points at 3\./);
  await page
    .getByRole('group', { name: 'At hand' })
    .or(page.getByRole('radiogroup', { name: 'At hand' }))
    .getByText('B', { exact: true })
    .click();
  await expect(dials.reading).toContainText('2:30');
  await page.getByRole('button', { name: 'Take away' }).click();
  await shown(/A: .*hour hand points at 5\..* B: .*hour hand points at 3\.[^:]*$/);
  await page.keyboard.press('Control+z');
  await shown(/C: /);
});

test('with one hand hidden the reading says what the other one tells', async ({ dials }) => {
  await dials.type('8:15');
  await dials.toggle('Hands', 'Long');
  await expect(dials.reading).toContainText('The hour hand alone: about 8:15, give or take 4 minutes.');
  await dials.toggle('Hands', 'Long');
  await dials.toggle('Hands', 'Short');
  await expect(dials.reading).toContainText('12 times are possible');
});
