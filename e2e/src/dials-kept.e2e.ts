import { readFileSync } from 'node:fs';
import { PNG } from 'pngjs';
import { expectAccessible } from './lib/accessible.js';
import { expect, test } from './lib/in-dials.js';

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
