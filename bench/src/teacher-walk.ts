import { chromium, expect, type Locator, type Page } from '@playwright/test';
import { draftLesson } from '@zeitpunkt/core/draft/draft';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { CHROMIUM, DemoServer, SIGN_IN } from './demo-server.js';
import { median, ms, percentile } from './stats.js';

// How many actions a teacher needs: clicks, keys that choose, filled fields; and the time from a key to the changed picture
// where a lesson of 120 beats is edited.

/** Acts on the page and counts. */
class Actions {
  done = 0;

  constructor(readonly page: Page) {}

  click(target: Locator): Promise<void> {
    this.done += 1;
    return target.click();
  }

  fill(target: Locator, text: string): Promise<void> {
    this.done += 1;
    return target.fill(text);
  }

  async choose(target: Locator, option: Locator): Promise<void> {
    this.done += 1;
    await target.click();
    await option.click();
  }
}

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });

/** From "we are at quarter past, fifteen minutes, live" to a lesson that is right, timed and ready. */
async function lessonFromNothing(page: Page, url: string): Promise<number> {
  await page.goto(`${url}/ladder`);
  const walk = new Actions(page);
  await walk.click(button(page, /^Quarter past,/));
  await walk.click(button(page, 'Draft the lesson'));
  await expect(page.getByText('“Quarter past, 15 minutes” is drafted').first()).toBeVisible();
  // Right: the checker has nothing to say. To look is no part of getting it ready.
  await page.getByRole('status').getByRole('link', { name: 'Edit' }).click();
  await expect(page.getByText('Nothing to mend')).toBeVisible();
  return walk.done;
}

/** From today to a question that pupils can answer. */
async function startAndAsk(page: Page, url: string): Promise<number> {
  await page.goto(url);
  const walk = new Actions(page);
  await walk.click(button(page, /^Open the room for/));
  await walk.click(button(page, 'Begin the lesson'));
  await walk.click(button(page, 'Next question'));
  await expect(page.getByText('0 of 0 answered').or(page.getByText(/of \d+ answered/))).toBeVisible();
  return walk.done;
}

/** In class, a time that nobody planned to show. */
async function demonstration(page: Page): Promise<number> {
  const walk = new Actions(page);
  await walk.fill(page.getByLabel('Time', { exact: true }), 'quarter to 8');
  await walk.click(button(page, 'Explain'));
  await expect(page.getByText('Example beside the script:')).toBeVisible();
  return walk.done;
}

/** From today to which pupil holds which idea. */
async function whoHoldsWhat(page: Page, url: string): Promise<number> {
  await page.goto(url);
  const walk = new Actions(page);
  await walk.click(page.getByRole('link', { name: 'Review', exact: true }));
  await walk.click(page.getByRole('tab', { name: 'Ideas' }));
  await expect(page.getByRole('row', { name: /^Dov settled/ })).toBeVisible();
  return walk.done;
}

/** From today to the lesson of a group, drafted with its questions, on a day that is chosen. */
async function groupToLesson(page: Page, url: string): Promise<number> {
  await page.goto(url);
  const walk = new Actions(page);
  await walk.click(page.getByRole('link', { name: 'Review', exact: true }));
  await walk.choose(page.getByRole('combobox', { name: 'The next lesson' }), page.getByRole('option').nth(1));
  await walk.click(button(page, /^Draft the lesson .*, They take the nearest numeral/));
  await page.waitForURL(/\/lessons\//);
  return walk.done;
}

/** From the review of the class to all of its results as a file. */
async function exportAll(page: Page, url: string): Promise<number> {
  await page.goto(url);
  await page.getByRole('link', { name: 'Review', exact: true }).click();
  const walk = new Actions(page);
  await walk.click(button(page, 'Export'));
  const csv = page.getByRole('menuitem', { name: /^All results for a spreadsheet/ });
  const [file] = await Promise.all([page.waitForEvent('download'), walk.click(csv)]);
  await file.path();
  return walk.done;
}

function longLesson(beatCount: number): Lesson {
  const lesson = draftLesson({ rung: 'five-to', minutes: 40, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 1 });
  const more = lesson.beats.filter(({ kind }) => kind === 'worked-example' || kind === 'say');
  const extra = Array.from({ length: beatCount }, (_, index) => ({ ...more[index % more.length]!, id: `more${index}` }));
  return { ...lesson, beats: [...lesson.beats, ...extra].slice(0, beatCount) };
}

/** From a key to what it changes, painted; in milliseconds. */
async function keyTimes(page: Page, selector: string, keys: readonly string[], typed: boolean): Promise<number[]> {
  const times: number[] = [];
  for (const key of keys) {
    // Watched before the key is pressed: what comes is not missed.
    await page.evaluate(
      ({ watched, attributes }) => {
        const place = window as unknown as { seen: Promise<number> };
        place.seen = new Promise<number>((resolve) => {
          let at = 0;
          document.addEventListener('keydown', ({ timeStamp }) => (at = timeStamp), { once: true, capture: true });
          const observer = new MutationObserver(() => {
            if (at === 0) return;
            observer.disconnect();
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - at)));
          });
          observer.observe(document.querySelector(watched)!, { subtree: true, childList: true, characterData: true, attributes });
        });
      },
      { watched: selector, attributes: !typed },
    );
    await page.waitForTimeout(60);
    await page.keyboard.press(key);
    times.push(await page.evaluate(() => (window as unknown as { seen: Promise<number> }).seen));
  }
  return times;
}

/**
 * Work of the page's main thread for a letter that is typed, in milliseconds, what follows after the pause left out: what the
 * page itself does (script, style, layout), and all there is with the painting, which here has no graphics card.
 */
async function workOfLetters(page: Page, letters: number): Promise<{ readonly own: number; readonly all: number }> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable');
  const worked = async () => {
    const { metrics } = await cdp.send('Performance.getMetrics');
    const seconds = (...names: string[]) => metrics.reduce((sum, { name, value }) => sum + (names.includes(name) ? value : 0), 0);
    return { own: 1000 * seconds('ScriptDuration', 'LayoutDuration', 'RecalcStyleDuration'), all: 1000 * seconds('TaskDuration') };
  };
  const before = await worked();
  for (let letter = 0; letter < letters; letter++) {
    await page.keyboard.press('n');
    await page.waitForTimeout(60);
  }
  const { own, all } = await worked();
  return { own: (own - before.own) / letters, all: (all - before.all) / letters };
}

/** The same keys in a bare field of a page with nothing else: what the browser itself takes for a letter. */
async function bareLetters(page: Page): Promise<{ readonly own: number; readonly all: number }> {
  const bare = await page.context().newPage();
  await bare.setContent('<textarea aria-label="Words"></textarea>');
  await bare.getByLabel('Words').click();
  const took = await workOfLetters(bare, 30);
  await bare.close();
  return took;
}

async function editing(page: Page, url: string, beatCount: number): Promise<void> {
  const id = `99999999-9999-4999-8999-999999999${beatCount}`;
  const added = await page.request.post(`${url}/api/lessons/files`, { data: { id, file: longLesson(beatCount) } });
  expect(added.status()).toBe(200);
  await page.goto(`${url}/lessons/${id}`);
  const rows = page.locator('[data-beat]');
  await expect(rows).toHaveCount(beatCount);
  await rows.first().click();
  const walked = await keyTimes(page, '.columns', Array(30).fill('ArrowDown'), false);
  await rows.first().click(); // the greeting
  await page.getByLabel('Words to say').click();
  await page.keyboard.press('End');
  const typed = await keyTimes(
    page,
    'zp-beat-column',
    [...'and then we look again at it'].map((key) => (key === ' ' ? 'Space' : key)),
    true,
  );
  const works = [];
  for (let run = 0; run < 3; run++) works.push(await workOfLetters(page, 30));
  const bare = await bareLetters(page);
  const told = (times: number[]) => `p50 ${ms(median(times))}, p95 ${ms(percentile(times, 0.95))}`;
  console.log(`  editor with ${beatCount} beats${beatCount === 120 ? ', goal 50 ms' : ''}:`);
  console.log(`    next beat to changed stage        ${told(walked)}`);
  console.log(`    letter typed to changed script     ${told(typed)}`);
  console.log(`    work for a letter                  ${ms(median(works.map(({ own }) => own)))}${beatCount === 150 ? ', goal 8 ms' : ''}, ${ms(median(works.map(({ all }) => all)))} with painting; a bare field ${ms(bare.own)}, ${ms(bare.all)}`); // prettier-ignore
}

const server = await DemoServer.start();
const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
await page.request.post(`${server.url}/api/sign-in`, { data: SIGN_IN });
console.log('\nWalks, in actions');
console.log(`  lesson ready from nothing  ${await lessonFromNothing(page, server.url)}, goal 6`);
console.log(`  start live and ask         ${await startAndAsk(page, server.url)}, goal 3`);
console.log(`  demonstration of a time    ${await demonstration(page)}, goal 2`);
console.log(`  who holds what             ${await whoHoldsWhat(page, server.url)}, goal 2`);
console.log(`  a group’s lesson, on a day ${await groupToLesson(page, server.url)}, goal 3`);
console.log(`  all results as a file      ${await exportAll(page, server.url)}, goal 2`);
for (const beatCount of [120, 150, 300]) await editing(page, server.url, beatCount);
await browser.close();
server.stop();
