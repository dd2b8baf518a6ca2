import { readFileSync } from 'node:fs';
import { PNG } from 'pngjs';
import { expectAccessible } from './lib/accessible.js';
import { expect, test as base } from './lib/classroom.js';
import { DialsPage } from './lib/dials.js';

const test = base.extend<{ dials: DialsPage }>({
  dials: async ({ teacher, server }, use) => {
    await teacher.isSignedIn();
    const dials = new DialsPage(teacher.page, server);
    await dials.open();
    await use(dials);
  },
});

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

test('dials are saved by themselves, named, duplicated, ordered, deleted and brought back', async ({ dials }) => {
  const { page } = dials;
  const names = page.getByRole('list', { name: 'Saved dials' }).locator('.open');
  await dials.type('4:30');
  await page.getByLabel('Name of this dial').fill('Mail boat');
  await page.getByLabel('Name of this dial').blur();
  await page.getByRole('button', { name: 'More for this dial' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(names).toHaveText(['Mail boat', 'Mail boat 2']);
  await dials.fromMenu('Mail boat 2', 'Move up');
  await expect(names).toHaveText(['Mail boat 2', 'Mail boat']);
  await dials.fromMenu('Mail boat 2', 'Delete');
  await expect(names).toHaveText(['Mail boat']);
  await page.locator('mat-snack-bar-container').getByRole('button', { name: 'Undo' }).click();
  await expect(names).toHaveText(['Mail boat 2', 'Mail boat']);
  await dials.type('5:15');
  await page.reload(); // at once, before the pause after which a change is saved
  await expect(dials.reading).toContainText('5:15');
  await page.getByRole('button', { name: 'Mail boat', exact: true }).click();
  await expect(dials.reading).toContainText('4:30');
});

test('pupils see at once what is built, without controls, also after a reload, in dark and large print', async ({ dials }) => {
  const show = await dials.openShow();
  await dials.type('10:10');
  await expect(show.getByRole('img', { name: /between 10 and 11.*Display: 10 : 10/ })).toBeVisible();
  await dials.toggle('Under it', 'Day line');
  await expect(show.getByText('mail boat')).toBeVisible();
  expect(await show.locator('button, input, a').count()).toBe(0);
  await show.reload();
  await expect(show.getByText('mail boat')).toBeVisible();
  const before = await show.evaluate(() => getComputedStyle(document.body).backgroundColor);
  await show.keyboard.press('d');
  await expect.poll(() => show.evaluate(() => getComputedStyle(document.body).backgroundColor)).not.toBe(before);
  await dials.choose('Words', 'one');
  const size = () => show.getByText('ten past ten').getAttribute('font-size').then(Number);
  const normal = await size();
  await show.keyboard.press('l');
  await expect.poll(size).toBeGreaterThan(normal);
  for (const viewport of [
    { width: 320, height: 240 },
    { width: 3840, height: 2160 },
  ]) {
    await show.setViewportSize(viewport);
    const box = (await show.locator('svg').boundingBox())!;
    expect([box.x >= -1, box.y >= -1, box.x + box.width <= viewport.width + 1, box.y + box.height <= viewport.height + 1]).toEqual([
      true,
      true,
      true,
      true,
    ]);
    expect(Math.max(box.width / viewport.width, box.height / viewport.height)).toBeGreaterThan(0.95);
  }
});

test('nothing can be built over dials that have not come yet; a load that failed can be tried again', async ({ dials }) => {
  const { page } = dials;
  const name = page.getByLabel('Name of this dial');
  await name.fill('Tide gauge');
  await Promise.all([
    page.waitForResponse((reply) => reply.url().endsWith('/api/dials') && reply.request().method() === 'POST'),
    name.blur(),
  ]);
  await page.route('**/api/dials', (route) => route.abort());
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('cannot be reached');
  await expect(name).toHaveCount(0);
  await page.unroute('**/api/dials');
  let letCome = () => {};
  const wait = new Promise<void>((resolve) => (letCome = resolve));
  await page.route('**/api/dials', async (route) => {
    await wait;
    await route.continue();
  });
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('Getting your dials …')).toBeVisible();
  await expect(name).toHaveCount(0);
  letCome();
  await expect(name).toHaveValue('Tide gauge');
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

test('a sweep goes on smoothly for the pupils while the window it is built in is minimised', async ({ dials }) => {
  await dials.page.emulateMedia({ reducedMotion: 'no-preference' });
  const show = await dials.openShow();
  await dials.type('2:00');
  await dials.choose('Pace', 'fast');
  await expect(show.getByRole('img', { name: /Display: 2 : 00/ })).toBeVisible();
  await dials.page.evaluate(() => {
    // What a browser does to a minimised window.
    Object.defineProperty(document, 'hidden', { get: () => true });
    window.requestAnimationFrame = () => 0;
  });
  await show.evaluate(() => {
    const seen = new Set<string>();
    Object.assign(window, { seen });
    new MutationObserver(() => seen.add(document.querySelector('[data-role="minute-hand"]')!.getAttribute('data-deg')!)).observe(
      document.querySelector('svg')!,
      { subtree: true, attributes: true },
    );
  });
  await dials.page.getByLabel('Time', { exact: true }).fill('2:30');
  await dials.page.getByRole('button', { name: 'Sweep', exact: true }).click();
  await expect(show.getByRole('img', { name: /Display: 2 : 30/ })).toBeVisible();
  // A window without frames would leap from the first place to the last; how many there are in between is up to the machine.
  expect(await show.evaluate(() => (window as unknown as { seen: Set<string> }).seen.size)).toBeGreaterThan(3);
});

test('a dial goes out as an SVG drawing and as a PNG of the size wanted, clear where wanted', async ({ dials }) => {
  await dials.page.getByLabel('Name of this dial').fill('Tide: 1/2');
  await dials.page.getByLabel('Name of this dial').blur();
  const get = async (item: string) => {
    await dials.page.getByRole('button', { name: 'Save as picture' }).click();
    const [download] = await Promise.all([dials.page.waitForEvent('download'), dials.page.getByRole('menuitem', { name: item }).click()]);
    return { name: download.suggestedFilename(), data: readFileSync(await download.path()) };
  };
  const svg = await get('Drawing for large prints');
  expect(svg.name).toBe('Tide-12.svg');
  expect(String(svg.data)).toContain('<title>Tide: 1/2</title>');
  const opaque = PNG.sync.read((await get('Picture, 800 wide')).data);
  expect([opaque.width, opaque.height, opaque.data[3]]).toEqual([800, 450, 255]);
  await dials.page.getByRole('button', { name: 'Save as picture' }).click();
  await dials.page.getByRole('menuitemcheckbox', { name: 'Clear background' }).click();
  await dials.page.keyboard.press('Escape');
  const clear = PNG.sync.read((await get('Picture, 800 wide')).data);
  expect(clear.data[3]).toBe(0);
  expect(clear.data.some((value, index) => index % 4 === 3 && value === 255)).toBe(true);
});

test('a dial kept in a lesson is its last beat, and pupils see it there', async ({ dials, teacher, newPupil }) => {
  await dials.type('11:20');
  await dials.page.getByRole('button', { name: 'Keep in a lesson' }).click();
  await dials.page.getByLabel('What you will say').fill('The lamp is lit.');
  await dials.page.getByRole('button', { name: 'Keep as last beat' }).click();
  await expect(dials.page.getByText('Kept as beat 16 of “Half past at the harbour”.')).toBeVisible();
  await dials.page.getByRole('button', { name: 'Close' }).click();
  await teacher.to('Lessons');
  const key = await teacher.openRoom();
  const pia = await newPupil('Pia');
  await pia.join(key);
  await teacher.begin();
  while (!(await teacher.place.innerText()).startsWith('Show')) await teacher.next();
  await expect(teacher.page.getByText('The lamp is lit.')).toBeVisible();
  await expect(pia.page.getByRole('img', { name: /Display: 11 : 20/ })).toBeVisible();
});

test('axe finds nothing where dials are built and shown', async ({ dials }) => {
  const show = await dials.openShow();
  await expect(show.getByRole('img')).toBeVisible();
  for (const page of [dials.page, show]) await expectAccessible(page);
});

test('the day line carries the pupils’ own events; a line that cannot be read is named', async ({ dials }) => {
  await dials.toggle('Under it', 'Day line');
  const events = dials.page.getByLabel(/Events of the day/);
  await events.fill('half past 3 puffin count\n20:00 lamp lit');
  await events.blur();
  await expect(dials.stage.getByText('puffin count')).toBeVisible();
  await events.fill('puffin count');
  await events.blur();
  await expect(dials.page.getByText('Line 1, “puffin count”: write the time first')).toBeVisible();
  await expect(dials.stage.getByText('lamp lit')).toBeVisible();
});

test('with one hand hidden the reading says what the other one tells', async ({ dials }) => {
  await dials.type('8:15');
  await dials.toggle('Hands', 'Long');
  await expect(dials.reading).toContainText('The hour hand alone: about 8:15, give or take 4 minutes.');
  await dials.toggle('Hands', 'Long');
  await dials.toggle('Hands', 'Short');
  await expect(dials.reading).toContainText('12 times are possible');
});
