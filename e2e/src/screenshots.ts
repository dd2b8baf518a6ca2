import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { DialsPage } from './lib/dials.js';
import type { PupilPage } from './lib/pupil.js';
import { expect, PHONE, test } from './lib/classroom.js';
import { ScriptPage } from './lib/script.js';

const FOLDER = process.env['SHOTS'] ?? join(import.meta.dirname, '../../docs/screenshots');

/** Takes a picture once fonts are there and nothing moves any more. */
async function shot(page: Page, name: string): Promise<void> {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join(FOLDER, `${name}.png`), animations: 'disabled' });
}

test('pictures of the main views from demo data', async ({ teacher, newPupil, server }) => {
  const { page } = teacher;
  await teacher.signIn();
  await expect(page.getByRole('img', { name: /of 100 answers right/ }).first()).toBeVisible();
  await shot(page, 'lessons');
  await teacher.to('Today');
  await expect(page.locator('zp-pair').first()).toBeVisible();
  await shot(page, 'today');
  await teacher.to('Ladder');
  await expect(page.getByRole('button', { name: /^Whole hours.*(sure|nearly)/ })).toBeVisible();
  await shot(page, 'ladder');
  await teacher.to('Lessons');

  const key = await teacher.openRoom('Half past at the harbour', 'asks');
  const audience = await teacher.openAudience();
  await audience.setViewportSize({ width: 1280, height: 720 });

  const anouk = await newPupil('Anouk', PHONE);
  await anouk.join(key);
  const others = [];
  for (const name of ['Bashir', 'Ceri', 'Dov', 'Elin', 'Femi', 'Gita']) {
    const pupil = await newPupil(name, { viewport: { width: 1024, height: 768 }, hasTouch: true });
    await pupil.join(key);
    others.push(pupil);
  }
  const [bashir, ceri, dov, elin, , gita] = others as [PupilPage, PupilPage, PupilPage, PupilPage, PupilPage, PupilPage];
  for (const name of ['Anouk', 'Bashir', 'Ceri', 'Dov']) await page.getByRole('button', { name: `Let ${name} in` }).click();
  await expect(page.getByRole('button', { name: '4 of 26 are in' })).toBeVisible();
  for (const [place, pupil] of [anouk, bashir, ceri].entries()) {
    const shown = pupil.page.waitForResponse(/desk\/shown$/);
    await pupil.page.getByRole('slider', { name: /minute/ }).focus();
    for (let press = 0; press < 3 * (place + 1); press++) await pupil.page.keyboard.press('PageUp');
    await shown;
  }
  await expect(page.getByRole('region', { name: 'The class' }).locator('zp-dial')).toHaveCount(4);
  await shot(page, 'lobby');
  await page.getByRole('button', { name: 'Let all 3 in' }).click();
  await expect(page.getByRole('button', { name: '7 of 26 are in' })).toBeVisible();
  await teacher.begin();
  await teacher.goTo('Worked example');
  for (let step = 0; step < 5; step++) await teacher.next();
  await expect(audience.getByText('half past four')).toBeVisible();
  await shot(audience, 'audience-worked-example');

  await teacher.goTo('Ask');
  await expect(anouk.stem).toHaveText('What time is it?');
  await anouk.page.getByRole('button', { name: '7', exact: true }).tap();
  await anouk.read('7', '30');
  await anouk.expectKept();
  await bashir.read('8', '30');
  await ceri.read('7', '30');
  await dov.read('8', '30');
  await gita.read('6', '37');
  await elin.read('7', '06');
  await expect(teacher.wall).toContainText('6 of 7 answered');
  await teacher.next();
  await teacher.next();
  await expect(bashir.sentence).toBeVisible();
  await shot(anouk.page, 'desk-reveal-phone');

  await teacher.goTo('Ask');
  await expect(anouk.stem).toContainText('half past two');
  await anouk.turn('hour', 'ArrowRight', 4);
  await anouk.turn('minute', 'PageUp', 6);
  await anouk.send();
  await anouk.expectKept();
  await page.goto(`${server.url}/lessons`);
  await page
    .getByRole('link', { name: /^Review ./ })
    .first()
    .click();
  await expect(page.getByRole('columnheader', { name: /Question 1/ })).toBeVisible();
  await expect(page.getByText('Looking through the answers')).toBeHidden();
  await shot(page, 'review');
});

test('pictures of a full wall, and of a lesson at own pace on both sides', async ({ teacher, newPupil, server }) => {
  await teacher.signIn();
  const { page } = teacher;
  await teacher.fromMenu('Half past at the harbour', 'Try with simulated pupils');
  await page.getByRole('button', { name: 'How they are' }).click();
  await page.getByLabel('How many').fill('36');
  await page.getByRole('combobox', { name: 'Pace' }).click();
  await page.getByRole('option', { name: 'quick, to try things out' }).click();
  await page.getByRole('button', { name: 'Fill the room with 36' }).click();
  await expect(teacher.page.getByRole('button', { name: '36 of 36 are in' })).toBeVisible();
  await teacher.begin();
  await teacher.goTo('Ask');
  await teacher.goTo('Ask');
  await expect(teacher.wall).toContainText('36 of 36 answered');
  await page.getByRole('button', { name: 'Close it' }).click();
  await expect(page.getByRole('button', { name: /^Follow up A/ })).toBeVisible();
  await shot(page, 'console');

  await page.goto(`${server.url}/lessons`);
  await page.getByRole('link', { name: /^Look on/ }).click();
  await expect(page.getByText(/are done/)).toBeVisible();
  const key = (await page.getByRole('list', { name: 'Room key' }).getByRole('listitem').allInnerTexts()).map((text) => text.trim());
  const zeb = await newPupil('Zeb', PHONE);
  await zeb.enterKey(key);
  await zeb.page.getByRole('button', { name: 'Zeb' }).tap();
  await expect(zeb.page.getByText('Step 1 of')).toBeVisible();
  for (let step = 2; step <= 4; step++) {
    await zeb.page.getByRole('button', { name: 'Go on' }).tap();
    await expect(zeb.page.getByText(`Step ${step} of`)).toBeVisible();
  }
  await shot(zeb.page, 'desk-own-pace-phone');
  await expect(page.getByText(/1 is at it now/)).toBeVisible();
  await shot(page, 'own-pace');
});

test('pictures of the class review', async ({ teacher }) => {
  await teacher.signIn();
  const { page } = teacher;
  await teacher.to('Review');
  await expect(page.getByText('6 questions, made to measure')).toHaveCount(4);
  await shot(page, 'class-review');
  await page.getByRole('tab', { name: 'Who can do what' }).click();
  await page.getByRole('row', { name: /^Jory/ }).getByRole('link', { name: 'Jory' }).click();
  await expect(page.locator('zp-chart svg')).toBeVisible();
  await page
    .getByRole('button', { name: /^the \d+ answers that show it$/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Close these answers' })).toBeVisible();
  await shot(page, 'pupil-review');
});

test('pictures of the dials place', async ({ teacher, server }) => {
  await teacher.signIn();
  await expect(teacher.page.getByRole('heading', { name: /^Drafts/ })).toBeVisible();
  const dials = new DialsPage(teacher.page, server);
  await dials.open();
  await dials.type('quarter to 5');
  await dials.toggle('Face', 'Quarters');
  await dials.toggle('Under it', 'Day line');
  await dials.tool('Ring');
  await dials.drag([120, 0.72], [120, 0.72]);
  const audience = await dials.openShow();
  await audience.setViewportSize({ width: 1280, height: 720 });
  await expect(audience.getByRole('img')).toBeVisible();
  await expect(dials.page.getByText('Saved', { exact: true })).toBeVisible();
  await shot(dials.page, 'dials');
});

test('pictures of the class list, of a script, of a question and of paper', async ({ teacher }) => {
  await teacher.signIn();
  const { page } = teacher;
  await teacher.to('Class');
  await expect(page.getByRole('img', { name: /^Reached/ }).first()).toBeVisible();
  await shot(page, 'class');
  await page.goBack();
  const script = new ScriptPage(page);
  await script.open('The ferry’s timetable, not finished');
  await page.getByRole('button', { name: /to look at$/ }).click();
  await expect(page.getByRole('list', { name: 'Found at this beat' })).toBeVisible();
  await shot(page, 'script');
  await script.choose(/Ask/);
  await page.getByRole('button', { name: 'Compose the question' }).click();
  const preview = page.frameLocator('iframe[title="The question as a pupil sees it"]');
  await expect(preview.getByRole('heading', { level: 1 })).toBeVisible();
  await page.getByRole('dialog').getByRole('button', { name: 'Suggest', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Suggestions' }).getByRole('button').first()).toBeVisible();
  await shot(page, 'composer');
  await page.getByRole('button', { name: 'Keep the question' }).click();
  await teacher.to('Lessons');
  await script.open('Quarters at the tide gauge');
  await script.more('Sheet and key');
  await page.getByRole('radiogroup', { name: 'Versions, equally hard' }).getByRole('radio', { name: '3' }).click();
  await page.getByRole('radio', { name: 'each name' }).click();
  await expect(page.getByRole('img', { name: /^Page 1: .*, A, Anouk/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'C', exact: true })).toBeVisible();
  await shot(page, 'paper');
});

test('pictures of the recorder and of a video', async ({ teacher }) => {
  await teacher.signIn();
  const { page } = teacher;
  const script = new ScriptPage(page);
  await script.open('Quarters at the tide gauge');
  await script.more('Record');
  await page.getByRole('button', { name: /^5\.1 Worked example/ }).click();
  for (const key of ['e', 'e', 'e']) await page.keyboard.press(key);
  await shot(page, 'record');
  await page.getByRole('link', { name: 'Make a video' }).click();
  await expect(page.getByRole('combobox', { name: 'Kind of file' })).toBeVisible();
  await page.getByRole('button', { name: /^Your turn/ }).click();
  await shot(page, 'video');
});
