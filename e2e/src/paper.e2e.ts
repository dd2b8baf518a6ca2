import type { Download, Page } from '@playwright/test';
import { expectAccessible } from './lib/accessible.js';
import { expect, test } from './lib/classroom.js';
import { readPdf } from './lib/pdf.js';
import { ScriptPage } from './lib/script.js';

async function saved(page: Page, press: () => Promise<void>): Promise<{ readonly name: string; readonly path: string }> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  return { name: download.suggestedFilename(), path: await (download as Download).path() };
}

async function openPaper(page: Page, title: string): Promise<void> {
  const script = new ScriptPage(page);
  await script.open(title);
  await script.more('Sheet and key');
  await expect(page.getByRole('img', { name: /^Page 1/ })).toBeVisible();
}

test('a class without a second device: sheets with names in two versions, typed in, marked and reviewed as all others', async ({
  teacher,
  server,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  await openPaper(page, 'Quarters at the tide gauge');
  const save = page.getByRole('button', { name: 'Save as PDF' });
  let code = '';

  await test.step('the file has a sheet for each pupil, and the key of both versions at its end', async () => {
    await page.getByRole('radiogroup', { name: 'Versions, equally hard' }).getByRole('radio', { name: '2' }).click();
    await page.getByRole('radio', { name: 'each name' }).click();
    await expect(page.getByRole('img', { name: /^Page 1: .*, A, Anouk/ })).toBeVisible();
    const { name, path } = await saved(page, () => save.click());
    [, code] = /^Quarters-at-the-tide-gauge-([A-Z2-9]{4})\.pdf$/.exec(name) as unknown as [string, string];
    const { title, pages, embedded } = await readPdf(path);
    expect(title).toContain('Quarters at the tide gauge');
    const sheetOf = (pupil: string) =>
      pages
        .filter(({ text }) => text.includes(`Name: ${pupil}`))
        .map(({ text }) => text)
        .join(' ');
    expect(sheetOf('Anouk')).toContain(`${code} A`);
    expect(sheetOf('Bashir')).toContain(`${code} B`);
    expect(sheetOf('Zeb')).toContain('What time is it?');
    expect(sheetOf('Anouk')).toContain('Draw the hands at quarter to five.');
    expect(sheetOf('Bashir')).not.toContain('quarter to five');
    expect(sheetOf('Anouk')).not.toContain('It is 2:45.');
    const key = pages.filter(({ text }) => text.includes('Key: ')).map(({ text }) => text);
    expect(key.join(' ')).toMatch(/It is 2:45\..*3:45.*Takes the nearest numeral/);
    expect(key.length).toBeGreaterThanOrEqual(2);
    // Vector throughout, in letters that are in the file, on A4.
    expect(pages.every(({ pictures }) => pictures === 0)).toBe(true);
    expect(embedded.filter((font) => font.includes('Andika')).length).toBeGreaterThanOrEqual(2);
    expect(pages.every(({ width, height }) => Math.round(width) === 595 && Math.round(height) === 842)).toBe(true);
  });

  await test.step('the answers are typed in by keyboard alone, each pupil by the version they had', async () => {
    await page.getByRole('button', { name: `Type answers in of sheet ${code}` }).click();
    const field = (pupil: string, question: number) => page.getByRole('textbox', { name: `${pupil}, question ${question}`, exact: true });
    await expect(page.getByRole('textbox', { name: 'Anouk, version of the sheet' })).toHaveValue('A');
    await expect(page.getByRole('textbox', { name: 'Bashir, version of the sheet' })).toHaveValue('B');
    await field('Anouk', 1).focus();
    await page.keyboard.type('3:45');
    await page.keyboard.press('Tab');
    await expect(page.getByText('Kept for Anouk.')).toBeVisible();
    // The second of the pupils had her neighbour's sheet.
    await page.getByRole('textbox', { name: 'Bashir, version of the sheet' }).focus();
    await page.keyboard.press('Control+A');
    await page.keyboard.type('a');
    await page.keyboard.press('Tab');
    await page.keyboard.type('2:45');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Kept for Bashir.')).toBeVisible();
    // Drawn hands that do not agree, as no geared dial could have them.
    await field('Anouk', 3).fill('5/9');
    await field('Anouk', 3).blur();
    await expect(field('Anouk', 3)).not.toHaveAttribute('aria-invalid');
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Bashir, version of the sheet' })).toHaveValue('A');
    await expectAccessible(page);
    await page.getByRole('link', { name: 'To the review' }).click();
    await expect(
      page.getByRole('button', { name: /^Anouk, question 1 A: .*Takes the nearest numeral or says the coming hour/ }),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: /^1 had everything right.*Bashir/ })).toBeVisible();
  });

  await test.step('the sheet can be printed again as it was, and deleted', async () => {
    await page.goto(`${server.url}/paper`);
    await page.getByRole('textbox', { name: 'Code on the sheet' }).fill(code.toLowerCase());
    await page.keyboard.press('Enter');
    await expect(page.getByRole('textbox', { name: 'Anouk, question 1' })).toHaveValue('3:45');
    await page.goto(`${server.url}/lessons`);
    await openPaper(page, 'Quarters at the tide gauge');
    await expect(page.getByText('2 of 26 typed in')).toBeVisible();
    const more = page.getByRole('button', { name: `More for sheet ${code}` });
    await more.click();
    const { path } = await saved(page, () => page.getByRole('menuitem', { name: 'Print it again' }).click());
    expect((await readPdf(path)).pages.some(({ text }) => text.includes('Name: Zeb'))).toBe(true);
    await more.click();
    await page.getByRole('menuitem', { name: /^Delete it/ }).click();
    await page.getByRole('button', { name: 'Delete the sheet' }).click();
    await expect(more).toBeHidden();
  });
});

test('every other paper is seen before it is saved; a long one can be cancelled; large print and Letter are kept for the next time', async ({
  teacher,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  await openPaper(page, 'Quarters at the tide gauge');
  const save = page.getByRole('button', { name: 'Save as PDF' });
  const expected = {
    'One page': /19 Say/,
    Chart: /quarter past seven/,
    'Cut out': /05.*minute hand/s,
    Zones: /Write its hour/,
    'Pencil dial': /Put a dot in the middle/,
    'Hour strip': /half an hour/,
    'Day line': /midnight.*choir by video/s,
    'Daily cards': /Card 10/,
  };
  for (const [name, text] of Object.entries(expected)) {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.getByText(/^Saved:/)).toBeHidden();
    const { path } = await saved(page, () => save.click());
    const read = (await readPdf(path)).pages.map((one) => one.text).join(' ');
    expect([name, read]).toEqual([name, expect.stringMatching(text)]);
    await expect(page.getByText(/^Saved: \d+ pages?/)).toBeVisible();
  }
  await expectAccessible(page);

  await page.getByRole('radio', { name: 'Letter' }).click();
  await page.getByRole('radio', { name: 'large' }).click();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Letter' })).toBeChecked();
  await expect(page.getByRole('radio', { name: 'large' })).toBeChecked();
  await expect(page.getByRole('img', { name: /^Page 1/ })).toBeVisible();

  // The letters do not come: the work stands still until it is cancelled, and goes on when it is asked for again.
  let release = () => {};
  const waiting = new Promise<void>((resolve) => (release = resolve));
  await page.route('**/*.woff', async (route) => {
    await waiting;
    await route.continue();
  });
  await page.reload();
  await page.getByRole('button', { name: 'Cut out' }).click();
  await save.click();
  await expect(page.getByRole('progressbar', { name: 'Making the file' })).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('progressbar', { name: 'Making the file' })).toBeHidden();
  release();
  const { path } = await saved(page, () => save.click());
  expect((await readPdf(path)).pages[0]).toMatchObject({ width: 612, height: 792 });
});

test('join cards and pages for home are one file each, with names in every script that there are letters for', async ({
  teacher,
  server,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  await teacher.to('Class');
  await page.getByRole('button', { name: 'Edit names' }).click();
  const name = page.getByRole('textbox', { name: 'Name of Anouk' });
  await name.fill('Łucja Ωx');
  await name.blur();
  await page.getByRole('link', { name: /^Make \d+ cards$|^Join cards$/ }).click();
  for (const pupil of ['Łucja Ωx', 'Bashir', 'Zeb']) await page.getByRole('checkbox', { name: new RegExp(`^${pupil}`) }).check();
  await page.getByRole('button', { name: /^Make \d+ cards/ }).click();
  const replace = page.getByRole('button', { name: 'Make new ones' });
  await expect(replace.or(page.getByRole('button', { name: 'Save as PDF' }))).toBeVisible();
  if (await replace.isVisible()) await replace.click();
  const cards = await saved(page, () => page.getByRole('button', { name: 'Save as PDF' }).click());
  const { pages } = await readPdf(cards.path);
  // Letters from several files of the font are several pieces of text.
  const texts = pages.map(({ text }) => text.replaceAll(' ', '')).join('');
  for (const pupil of ['Łucja', 'Bashir', 'Zeb']) expect(texts).toContain(pupil);
  expect(texts).toContain('#card=');
  // A letter that no file of the font has is said, not lost in silence.
  await expect(page.getByText(/No letter shapes for Ω/)).toBeVisible();

  await page.goto(`${server.url}/lessons`);
  await teacher.to('Review');
  await page.getByRole('tab', { name: 'For home' }).click();
  const home = await saved(page, () => page.getByRole('button', { name: 'Save all as PDF' }).click());
  const all = (await readPdf(home.path)).pages;
  expect(all.length).toBeGreaterThan(20);
  expect(all.some(({ text }) => text.includes('Reading the clock: Bashir'))).toBe(true);
});
