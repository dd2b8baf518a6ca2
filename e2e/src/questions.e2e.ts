import { readFileSync } from 'node:fs';
import type { BrowserContextOptions } from '@playwright/test';
import { expectAccessible } from './lib/accessible.js';
import { answerByKeys, answerByTouch, notSure } from './lib/answering.js';
import { expect, PHONE, test } from './lib/classroom.js';
import { ScriptPage } from './lib/script.js';
import { drawTo } from './lib/draw-to.js';

/** A lesson with a question of every kind, as it was stored. */
const EVERY_KIND = readFileSync(new URL('../../core/src/formats/old-files/lesson/3-every-kind.json', import.meta.url), 'utf8');
const lesson = JSON.parse(EVERY_KIND) as { title: string; settings: object; items: { kind: string }[] };
/** The smallest that is still about. */
const SMALL_PHONE: BrowserContextOptions = { viewport: { width: 320, height: 568 }, hasTouch: true, isMobile: true };

for (const [tongue, pack] of [
  ['en', 'en-GB'],
  ['de', 'de'],
] as const)
  test(`every kind of question is answered on a phone by touch, elsewhere by keys alone, and by who is not sure: ${pack}`, async ({
    teacher,
    newPupil,
  }) => {
    test.slow();
    await teacher.signIn();
    await teacher.takeIn(JSON.stringify({ ...lesson, settings: { ...lesson.settings, pack } }), lesson.title);
    const key = await teacher.openRoom(lesson.title);
    const [wren, elin, pia] = [await newPupil('Wren', PHONE), await newPupil('Elin'), await newPupil('Pia', SMALL_PHONE)];
    for (const pupil of [wren, elin, pia]) await pupil.join(key);
    await teacher.begin();
    for (const { kind } of lesson.items) {
      await test.step(kind, async () => {
        await teacher.goTo('Ask');
        await Promise.all([answerByTouch(wren.page, tongue), answerByKeys(elin.page, tongue), notSure(pia.page, tongue)]);
        await expect(teacher.wall).toContainText('3 of 3 answered');
        // Nothing sticks out on the narrowest screens.
        for (const { page } of [wren, pia]) {
          const sticksOut = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
          expect(sticksOut).toBeLessThanOrEqual(0);
        }
        await teacher.goTo('Answer');
        await expect(pia.sentence).toContainText(tongue === 'de' ? 'Gut, dass du es sagst.' : 'Good that you told me.');
      });
    }
    await expect(elin.page.locator('html')).toHaveAttribute('lang', pack);
    await teacher.end();
    await expect(teacher.page.getByRole('columnheader', { name: /Question 26/ })).toBeVisible();
    await expect(teacher.page.getByRole('button', { name: /, question \d+: not sure/ }).first()).toBeVisible();
  });

test('what was put together is there again after a reload, and a practice dial is at hand in the pauses', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  await teacher.takeIn(EVERY_KIND, 'Every kind of question');
  const key = await teacher.openRoom('Every kind of question');
  const wren = await newPupil('Wren', PHONE);
  await wren.join(key);
  const { page } = wren;
  await teacher.begin();
  await page.getByRole('button', { name: 'My clock' }).click();
  await expect(page.getByText('10:10')).toHaveCount(0);
  await page.getByRole('button', { name: 'What time is it?' }).click();
  await expect(page.getByRole('status').getByText('10:10')).toBeVisible();
  await page.getByRole('button', { name: 'Long hand on five minutes' }).click();
  await expect(page.getByText('10:15')).toHaveCount(0); // hidden again until asked for
  await teacher.goTo('Ask');
  await page.getByRole('button', { name: '7', exact: true }).click();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Hour' })).toHaveValue('7');
  await page.getByRole('button', { name: '3', exact: true }).click();
  await page.getByRole('button', { name: '0', exact: true }).click();
  await wren.send();
  await wren.expectKept();
});

test('cards are put together and in order with the keyboard alone, and by dragging', async ({ teacher, newPupil }) => {
  const lesson = JSON.parse(EVERY_KIND) as { items: { id: string }[]; beats: { itemId?: string }[] };
  const wanted = ['match', 'order-times', 'place-on-line'];
  const few = {
    ...lesson,
    items: lesson.items.filter(({ id }) => wanted.includes(id)),
    beats: lesson.beats.filter(({ itemId }) => !itemId || wanted.includes(itemId)),
  };
  await teacher.signIn();
  await teacher.takeIn(JSON.stringify(few), 'Every kind of question');
  const key = await teacher.openRoom('Every kind of question');
  const wren = await newPupil('Wren');
  await wren.join(key);
  const { page } = wren;
  await teacher.begin();

  await test.step('pairs', async () => {
    await teacher.goTo('Ask');
    const card = (letter: string) => page.getByRole('list', { name: 'Cards' }).getByRole('button', { name: new RegExp(`^${letter}`) });
    // Cards are 2:45, 3:45 and 7:30; partners 3:45, 7:30 and 2:45.
    await card('C').focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /^2, for card C/ }).press('Enter');
    await expect(card('C')).toContainText('with 2');
    const partner = page.getByRole('list', { name: 'Partners' }).getByRole('listitem').nth(2);
    await drawTo(page, partner, card('A'));
    await expect(card('A')).toContainText('with 3');
    await card('B').press('Enter');
    await page.getByRole('button', { name: /^1, for card B/ }).press('Enter');
    await wren.send();
    await wren.expectKept();
    await teacher.goTo('Answer');
    await expect(wren.sentence).toHaveText('Yes, that is right.');
  });

  await test.step('a place on a line', async () => {
    await teacher.goTo('Ask');
    const order = page.getByRole('list', { name: /Put the marker/ });
    await expect(order).toHaveCount(0);
    const marker = page.getByRole('slider', { name: 'Marker' });
    await marker.focus();
    for (let press = 0; press < 15; press++) await page.keyboard.press('ArrowRight');
    await expect(marker).toHaveAttribute('aria-valuetext', '15 minutes from the left end');
    await wren.send();
    await wren.expectKept();
    await teacher.goTo('Answer');
    await expect(wren.sentence).toHaveText('Yes, that is right.');
  });

  await test.step('order', async () => {
    await teacher.goTo('Ask');
    await page.getByRole('button', { name: 'B earlier' }).press('Enter');
    await expect(page.getByText('In order now: B, A, C.')).toBeAttached();
    await wren.send();
    await wren.expectKept();
    await teacher.goTo('Answer');
    await expect(wren.sentence).toHaveText('Yes, that is right.');
  });
});

test('a question is composed: suggested, changed on the dial, answered as a pupil would, and nothing wrong is accepted unwarned', async ({
  teacher,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  const script = new ScriptPage(page);
  await script.open('Quarters at the tide gauge');
  await script.choose(/Ask/);
  await page.getByRole('button', { name: 'Compose the question' }).click();
  const composer = page.getByRole('dialog');
  const preview = page.frameLocator('iframe[title="The question as a pupil sees it"]');

  await test.step('what ideas answer is shown, and such a pupil can answer', async () => {
    await expect(preview.getByRole('heading', { name: 'What time is it?' })).toBeVisible();
    await composer.getByRole('button', { name: 'Reads the 9 as 9 minutes' }).last().click();
    await expect(composer.getByRole('status')).toContainText('Count round in fives');
    await expectAccessible(page, undefined, 'mat-dialog-container');
  });

  await test.step('the teacher answers it in the pupil’s view', async () => {
    await composer.getByRole('button', { name: 'Answer again' }).click();
    for (const digit of ['1', '1', '1']) await preview.getByRole('button', { name: digit, exact: true }).click();
    await preview.getByRole('button', { name: 'This is my answer' }).click();
    await expect(composer.getByRole('status')).toContainText('11:1');
  });

  await test.step('the hands change its time, and the pupil’s view follows', async () => {
    const before = await script.field('Time').last().inputValue();
    const hand = composer.getByRole('slider', { name: 'Long minute hand' });
    await hand.focus();
    await hand.press('PageUp');
    await expect(script.field('Time').last()).not.toHaveValue(before);
  });

  await test.step('another kind about the same time, with a wording of one’s own', async () => {
    await composer.getByRole('button', { name: 'Write in words', exact: true }).click();
    await expect(preview.getByRole('textbox').first()).toBeVisible();
    const own = composer.getByLabel('Also counts as right');
    await own.fill('half past eleven');
    await own.blur();
    await expect(composer.getByRole('alert').filter({ hasText: 'says another time' })).toBeVisible();
    await own.fill('thereabouts!');
    await own.blur();
    await expect(composer.getByText(/thereabouts count too/)).toBeVisible();
  });

  await test.step('a suggestion is taken', async () => {
    await composer.getByRole('button', { name: 'Suggest', exact: true }).click();
    const first = composer.getByRole('list', { name: 'Suggestions' }).getByRole('button').first();
    const kind = (await first.locator('strong').innerText()).split(':')[0]!;
    await first.click();
    await expect(composer.getByRole('button', { name: kind, exact: true, pressed: true })).toBeVisible();
    await composer.getByRole('button', { name: 'Keep the question' }).click();
    await script.saved();
  });

  await test.step('a set is designed, with one kept and one sent away, and put into the script', async () => {
    const rows = script.beats(/Ask/);
    const before = await rows.count();
    await page.getByRole('button', { name: 'Add a question set' }).click();
    const designer = page.getByRole('dialog');
    await designer.getByLabel('Questions').fill('4');
    await designer.getByRole('button', { name: 'Choose', exact: true }).click();
    const set = designer.getByRole('region', { name: 'The set' }).getByRole('listitem');
    await expect(set).toHaveCount(4);
    const kept = await set.first().locator('div').first().innerText();
    await set.first().getByRole('button', { name: 'Keep' }).click();
    await set.nth(1).getByRole('button', { name: 'Not this' }).click();
    const sent = await set.nth(1).locator('div').first().innerText();
    await designer.getByRole('button', { name: 'Choose again' }).click();
    await expect(set.filter({ hasText: sent.split('\n').at(-1)! })).toHaveCount(0);
    await expect(set.filter({ hasText: kept.split('\n').at(-1)! })).not.toHaveCount(0);
    await expectAccessible(page, undefined, 'mat-dialog-container');
    await designer.getByRole('button', { name: /Put 4 questions/ }).click();
    await expect(rows).toHaveCount(before + 4);
    await script.saved();
  });
});
