import { expect, PHONE, test } from './lib/classroom.js';
import { expectAccessible, expectUsableByThumb } from './lib/accessible.js';
import { RECORDING } from './lib/recording-places.js';
import { ScriptPage } from './lib/script.js';

/** A question that is in no lesson. */
const THREE_CLOCKS = {
  id: 'clocks',
  kind: 'choose-all',
  timeSec: 27_900,
  from: 'words',
  choices: [232.5, 202.5, 210].map((hourDeg) => ({ hourDeg, minuteDeg: 270, numerals: 'all' })),
};

test('axe finds nothing on any place of the teacher', async ({ teacher, server }) => {
  const { page } = teacher;
  await teacher.signInByForm('wrong');
  await expect(page.getByRole('alert')).toBeVisible();
  await expectAccessible(page, 'sign-in');
  await teacher.signIn();
  await expect(page.getByRole('heading', { name: /^Drafts/ })).toBeVisible();
  await expectAccessible(page, 'lessons');
  await teacher.to('Today');
  await expect(page.getByRole('heading', { name: 'Any minute at the puffin count' })).toBeVisible();
  await expectAccessible(page, 'today');
  await page.goto(`${server.url}/ladder?view=calendar`);
  await expect(page.getByRole('group', { name: 'Days' })).toBeVisible();
  await expectAccessible(page, 'ladder');
  await page.getByRole('button', { name: 'Plan a series' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectAccessible(page, 'ladder, series');
  await page.keyboard.press('Escape');
  await teacher.to('Class');
  await expect(page.getByRole('row', { name: /Anouk/ })).toBeVisible();
  await expectAccessible(page, 'class');
  await page.getByRole('button', { name: 'Edit names' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of Anouk' })).toBeVisible();
  await expectAccessible(page, 'class, names');
  await page.getByRole('button', { name: 'Add pupils' }).click();
  await page.getByRole('menuitem', { name: 'Take in a list' }).click();
  await expect(page.getByLabel('List of pupils')).toBeAttached();
  await expectAccessible(page, 'class, a list');
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.getByRole('button', { name: 'More about Anouk' }).click();
  await expect(page.getByRole('menuitem', { name: 'Has left the class' })).toBeVisible();
  await expectAccessible(page, 'class, a menu', '.cdk-overlay-container');
  await page.getByRole('menuitem', { name: 'Delete with all answers' }).click();
  await expect(page.getByRole('dialog', { name: 'Delete Anouk?' })).toBeVisible();
  await expectAccessible(page, 'class, asking');
  await page.getByRole('dialog', { name: 'Delete Anouk?' }).getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('link', { name: /^Make \d+ cards$|^Join cards$/ }).click();
  await page.getByRole('button', { name: /^Make \d+ cards$/ }).click();
  await expect(page.getByRole('list', { name: 'Cards' })).toBeVisible();
  await expectAccessible(page, 'join cards');
  await page.goto(`${server.url}/school`);
  await expect(page.getByRole('heading', { name: /^Who teaches here/ })).toBeVisible();
  await expectAccessible(page, 'school');
  await page.goto(`${server.url}/account`);
  await page.getByRole('button', { name: 'Use one-time codes' }).click();
  await expect(page.getByLabel('Six digits from the app')).toBeVisible();
  await expectAccessible(page, 'account');
  await page.goto(`${server.url}/lessons`);
  await page.getByRole('link', { name: /^Look on/ }).click();
  await expect(page.getByText(/are done/)).toBeVisible();
  await expectAccessible(page, 'own pace');
  await page.getByRole('link', { name: 'Review the answers' }).click();
  await page.getByRole('link', { name: 'Type answers in' }).click();
  await expect(page.getByRole('textbox', { name: 'Anouk, question 1' })).toBeVisible();
  await expectAccessible(page, 'answers entered');
  await page.goto(`${server.url}/lessons`);
  await teacher.to('Review');
  await expect(page.getByText('6 questions, made to measure').first()).toBeVisible();
  await expectAccessible(page, 'class review, next lesson');
  for (const [look, name] of [
    ['Who can do what', 'Pupils and rungs'],
    ['Ideas', /^Takes the nearest numeral/],
    ['For home', 'Reading the clock: Anouk'],
  ] as const) {
    await page.getByRole('tab', { name: look }).click();
    await expect(page.getByRole('heading', { name, exact: true }).first()).toBeVisible();
    await expectAccessible(page, `class review, ${look}`);
  }
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('menuitem', { name: /results from a file/ }).click();
  await expect(page.getByRole('heading', { name: 'Results out' })).toBeVisible();
  await expectAccessible(page, 'class review, files');
  await page.getByRole('tab', { name: 'Who can do what' }).click();
  await page.getByRole('link', { name: 'Jory' }).click();
  await expect(page.locator('zp-chart svg')).toBeVisible();
  await page
    .getByRole('button', { name: /the \d+ answers that show it/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Close these answers' })).toBeVisible();
  await expectAccessible(page, 'class review, a pupil');
  await page.goto(`${server.url}/lessons`);
  await page
    .getByRole('link', { name: /^Review ./ })
    .first()
    .click();
  await page.getByText('Beat by beat').click();
  await expect(page.locator('zp-session-log zp-chart svg').first()).toBeVisible();
  await expectAccessible(page, 'review');
  await page.getByRole('button', { name: /^Question 1,.*all answers/ }).click();
  await expectAccessible(page, 'review, a question');
  await page
    .getByRole('button', { name: /question 1: not yet|question 1: partly/ })
    .first()
    .click();
  await page.getByText('Correct this mark').click();
  await expectAccessible(page, 'review, an answer');
  await page.goto(`${server.url}/lessons`);
  const script = new ScriptPage(page);
  await script.open('Quarters at the tide gauge');
  for (const place of RECORDING) {
    await place.open(page);
    await expectAccessible(page, place.name);
  }
  await page.goto(`${server.url}/lessons`);
  await script.open('Half past at the harbour');
  await expectAccessible(page, 'script');
  await script.about();
  await expectAccessible(page, 'about a lesson');
  await script.closeAbout();
  await script.more('Questions as a package');
  await expect(page.getByRole('dialog', { name: /^Questions as a package/ })).toBeVisible();
  await expectAccessible(page, 'questions as a package');
  await page.keyboard.press('Escape');
  await script.more('Sheet and key');
  await page.getByRole('radiogroup', { name: 'Versions, equally hard' }).getByRole('radio', { name: '2' }).click();
  await page.getByRole('button', { name: 'B', exact: true }).click();
  await expect(page.getByRole('img', { name: /^Page 2: .*, B/ })).toBeVisible();
  await expectAccessible(page, 'paper');
  await page.goto(`${server.url}/classes/from-file`);
  await expect(page.getByLabel('Choose the file')).toBeVisible();
  await expectAccessible(page, 'class from a file');
  await page.goto(`${server.url}/lessons`);
  await script.open('Half past at the harbour');
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await page.getByRole('button', { name: 'Begin the rehearsal' }).click();
  await expect(teacher.place).toContainText('Step 1 of');
  await expectAccessible(page, 'rehearse');
  await page.keyboard.press('f');
  await expect(page.getByRole('dialog', { name: 'Beats of this lesson' })).toBeVisible();
  await expectAccessible(page, 'beats of a lesson');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'End the rehearsal' }).click();
  await expect(page.getByRole('heading', { name: 'What it took' })).toBeVisible();
  await expectAccessible(page, 'what a rehearsal took');
  await page.getByRole('link', { name: 'Back to the script' }).last().click();
  await teacher.to('Today');
  await page.getByRole('link', { name: /^Show (the card|\d+ cards)/ }).click();
  await expect(page.getByRole('button', { name: 'Show it' })).toBeVisible();
  await expectAccessible(page, 'daily card');
});

test('every part in every state is accessible, and fits a phone; nobody else finds the page of the parts', async ({
  teacher,
  server,
}, info) => {
  const { page } = teacher;
  await page.goto(`${server.url}/look`);
  await expect(page.getByRole('heading', { name: 'There is nothing at this address.' })).toBeVisible();
  await page.addInitScript(() => Object.assign(window, { zeitpunktLook: true }));
  await page.goto(`${server.url}/look`);
  await expect(page.getByRole('heading', { name: 'Parts' })).toBeVisible();
  await expectAccessible(page, 'parts');
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    await info.attach(`parts, ${colorScheme}`, { body: await page.screenshot({ fullPage: true }), contentType: 'image/png' });
  }
  await page.getByRole('button', { name: 'A menu' }).click();
  await expectAccessible(page, 'parts, a menu', '.cdk-overlay-container');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Ask first' }).click();
  await expectAccessible(page, 'parts, a question');
  await page.getByRole('button', { name: 'Keep' }).last().click();
  await page.getByRole('button', { name: 'Say what was done' }).click();
  await expect(page.getByText('“Quarter to” stands on Friday.')).toBeVisible();
  // It is read out first, and only then there for the keyboard.
  await expect(page.locator('mat-snack-bar-container [aria-hidden="true"] button')).toHaveCount(0);
  await expectAccessible(page, 'parts, news');
  await page.setViewportSize({ width: 320, height: 640 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(320);
});

test('axe finds nothing on the console, the stage and the desk of a lesson', async ({ teacher, newPupil, server }) => {
  const { page } = teacher;
  await teacher.signIn();
  const key = await teacher.openRoom();
  await expectAccessible(page, 'console, lobby');
  const audience = await teacher.openAudience();
  await expect(audience.getByRole('list')).toBeVisible();
  await expectAccessible(audience, 'audience, lobby');

  const quill = await newPupil('Quill', PHONE);
  await quill.page.goto(`${server.url}/desk`);
  await expect(quill.page.getByRole('button', { name: 'boat' })).toBeVisible();
  await expectAccessible(quill.page, 'desk, key');
  await expectUsableByThumb(quill.page, 'desk, key');
  for (const picture of key) await quill.page.getByRole('button', { name: picture, exact: true }).tap();
  await expect(quill.page.getByRole('button', { name: 'Quill' })).toBeVisible();
  await expectAccessible(quill.page, 'desk, names');
  await expectUsableByThumb(quill.page, 'desk, names');
  await quill.page.getByRole('button', { name: 'Quill' }).tap();

  await teacher.begin();
  await teacher.goTo('Worked example');
  await expect(quill.page.getByRole('img')).toBeVisible();
  for (const [at, place] of [
    [page, 'console'],
    [audience, 'audience'],
    [quill.page, 'desk, stage'],
  ] as const)
    await expectAccessible(at, place);
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Arc', exact: true }).click();
  await expectAccessible(page, 'console, beside the script');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Console' })).toBeVisible();
  await expectAccessible(page, 'console, keys');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Console' })).toBeHidden();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('button', { name: 'Back to the script' })).toHaveCount(0);
  await teacher.goTo('Ask');
  await expect(quill.page.getByRole('textbox', { name: 'Hour' })).toBeVisible();
  await expectAccessible(quill.page, 'desk, read');
  await expectUsableByThumb(quill.page, 'desk, read');
  await expect(quill.page.getByRole('button', { name: 'This is my answer' })).toBeInViewport({ ratio: 1 });
  await quill.read('8', '30');
  await quill.expectKept();
  await expectAccessible(quill.page, 'desk, kept');
  await expectUsableByThumb(quill.page, 'desk, kept');
  await teacher.goTo('Answer');
  await expect(quill.sentence).toBeVisible();
  for (const [at, place] of [
    [page, 'console, revealed'],
    [quill.page, 'desk, reveal'],
  ] as const)
    await expectAccessible(at, place);
  await teacher.goTo('Ask');
  await expect(quill.page.getByRole('slider', { name: /minute/ })).toBeVisible();
  await expectAccessible(quill.page, 'desk, set');
  await expectUsableByThumb(quill.page, 'desk, set');
  await expect(quill.page.getByRole('button', { name: 'This is my answer' })).toBeInViewport({ ratio: 1 });
  await teacher.tell({ type: 'ask', item: THREE_CLOCKS });
  await expect(quill.page.getByRole('button', { name: /A clock dial/ })).toHaveCount(3);
  await expectAccessible(quill.page, 'desk, choose');
  await expectUsableByThumb(quill.page, 'desk, choose');
  await quill.page
    .getByRole('button', { name: /A clock dial/ })
    .first()
    .tap();
  await quill.send();
  await quill.expectKept();
  await teacher.page.getByRole('button', { name: 'Show the answer' }).click();
  await expect(quill.sentence).toBeVisible();
  for (const [at, place] of [
    [page, 'console, question beside the script'],
    [quill.page, 'desk, reveal of several dials'],
  ] as const)
    await expectAccessible(at, place);
  await teacher.end();
  await page.getByRole('button', { name: /Quill, question 1/ }).click();
  await expectAccessible(page, 'review');
});
