import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { expect, test } from './lib/classroom.js';
import { openFilm } from './lib/film.js';
import { voiceTrack } from './lib/voice-track.js';

const ARGS = ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'];
test.use({ launchOptions: { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: [...ARGS, ...voiceTrack()] } });

const TITLE = 'Two times at the pier';
/** A lesson of a few steps, whose dial stands alone. */
const LESSON = {
  format: 'zeitpunkt-lesson',
  formatVersion: 3,
  title: TITLE,
  goal: 'I can read the hour.',
  successCriteria: [],
  targetMinutes: 5,
  settings: {
    readingOrder: 'hour-first',
    betweenRule: 'passed',
    pack: 'en-GB',
    separator: ':',
    strictness: 'right-side',
    wordsPerMinute: 120,
  },
  items: [{ id: 'q1', kind: 'read-dial', timeSec: 4 * 3600 }],
  beats: [
    { id: 'b1', kind: 'set', timeSec: 3 * 3600 + 900, display: 'none', words: false, text: 'The mail boat leaves at quarter past three.' },
    { id: 'b2', kind: 'set', timeSec: 3 * 3600 + 1800, display: 'none', words: false, text: 'The puffins are counted at half past three.' },
    { id: 'b3', kind: 'ask', itemId: 'q1', text: 'What time is it now?' },
    { id: 'b4', kind: 'think', itemId: 'q1', seconds: 4, text: '' },
    { id: 'b5', kind: 'answer', itemId: 'q1' },
  ],
};

/** What the server holds of a take. */
interface Take {
  readonly id: string;
  readonly at: { readonly beatId: string };
  readonly mime: string;
  readonly durationMs: number;
  readonly speech: readonly unknown[];
  readonly cues: readonly unknown[];
}

/** The captions of a file: when each begins and ends, in milliseconds. */
function captionsIn(file: string): (readonly [from: number, to: number])[] {
  const ms = (clock: string) => clock.split(':').reduce((sum, part) => sum * 60 + Number(part), 0) * 1000;
  return [...readFileSync(file, 'utf8').matchAll(/^([\d:.]+) --> ([\d:.]+)$/gm)].map(([, from, to]) => [ms(from!), ms(to!)] as const);
}

const lessonIdOf = (page: Page) => /lessons\/([0-9a-f-]+)/.exec(page.url())![1]!;
const takesOf = async (page: Page): Promise<Take[]> =>
  (await page.request.get(`${new URL(page.url()).origin}/api/lessons/${lessonIdOf(page)}/recording`).then((reply) => reply.json())).takes;
/** Strikes a key that records a step, and waits until somebody has spoken there for some seconds. */
async function speak(page: Page, key: string, step: string): Promise<void> {
  await page.keyboard.press(key);
  await expect(page.getByRole('region', { name: 'Takes' }).getByRole('button', { name: step })).toHaveAttribute('aria-current', 'step');
  await expect(page.getByRole('timer')).toHaveText(/Recording 0:0[01]/);
  await expect(page.getByRole('timer')).toHaveText(/Recording 0:0[3-9]/);
}

async function openRecorder(page: Page): Promise<void> {
  await page.getByRole('link', { name: `Edit ${TITLE}` }).click();
  await page.getByRole('link', { name: 'Record' }).click();
  await expect(page.getByText('0 of 4 steps are recorded')).toBeVisible();
}

test('a lesson is recorded by one key, mended by beat, and made into videos that open again', async ({ teacher }) => {
  test.slow();
  const { page } = teacher;
  await page.addInitScript(() => Reflect.deleteProperty(window, 'showSaveFilePicker'));
  await teacher.signIn();
  await teacher.takeIn(JSON.stringify(LESSON), TITLE);
  await openRecorder(page);
  await expect(page.getByText(/Only your voice and this stage are recorded, never a pupil/)).toBeVisible();
  await page.getByRole('button', { name: 'Try the microphone' }).click();
  await expect(page.getByRole('meter', { name: 'Level' })).not.toHaveAttribute('aria-valuenow', '0');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);

  await test.step('one key goes from step to step; a pause is not in the take', async () => {
    for (const step of ['1 Set', '2 Set', '3 Ask']) await speak(page, 'Space', step);
    await page.keyboard.press('f');
    await expect(page.getByRole('timer')).toHaveText(/Paused at/);
    await page.keyboard.press('f');
    await speak(page, 'Space', '5 Answer');
    await page.keyboard.press('Space');
    await expect(page.getByText('4 of 4 steps are recorded')).toBeVisible();
    await expect(page.getByText('All takes are saved')).toBeVisible();
  });

  const first = await takesOf(page);
  expect(first.map(({ at }) => at.beatId).sort()).toEqual(['b1', 'b2', 'b3', 'b5']);
  for (const { durationMs, speech, cues, mime } of first) {
    expect(mime).toBe('audio/webm;codecs=opus');
    expect(durationMs).toBeGreaterThan(1000);
    expect(speech.length).toBeGreaterThan(0);
    expect(cues.length).toBeGreaterThan(0);
  }

  await test.step('what each beat took is its time in the script now', async () => {
    await page.getByRole('link', { name: 'Back to the script' }).click();
    const { lesson } = await page.request
      .get(`${new URL(page.url()).origin}/api/lessons/${lessonIdOf(page)}`)
      .then((reply) => reply.json());
    const take = first.find(({ at }) => at.beatId === 'b1')!;
    expect(lesson.beats[0].plannedSec).toBe(Math.round((take.durationMs + 350) / 1000));
    expect(lesson.beats[3]).toMatchObject({ kind: 'think', seconds: 4 });
    await page.getByRole('link', { name: 'Record' }).click();
  });

  await test.step('a beat is retaken, the take before is brought back, a caption is changed, and all is there after a reload', async () => {
    await page.getByRole('button', { name: /^2 Set/ }).click();
    await speak(page, 'r', '2 Set');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Bring back the take before' }).click();
    await expect.poll(() => takesOf(page).then((takes) => takes.map(({ id }) => id).sort())).toEqual(first.map(({ id }) => id).sort());
    await page.locator('summary', { hasText: 'from the script' }).click();
    await page.getByLabel('Caption 1', { exact: true }).fill('The puffins are counted.');
    await page.getByLabel('Caption 1', { exact: true }).press('Enter');
    await expect(page.getByText(/changed by you/)).toBeVisible();
    await page.reload();
    await page.getByRole('button', { name: /^2 Set/ }).click();
    await expect(page.getByLabel('Caption 1', { exact: true })).toHaveValue('The puffins are counted.');
  });

  for (const [format, mime] of [
    ['MP4', 'video/mp4'],
    ['WebM: plays in browsers', 'video/webm'],
  ] as const) {
    await test.step(`as ${mime}: length, size, hands and sound`, async () => {
      await page.getByRole('link', { name: 'Make a video' }).click();
      await page.getByRole('radio', { name: new RegExp(`^${format}`) }).check();
      const [film] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Make the video' }).click()]);
      await expect(page.getByText(/^\s*The video is made/)).toBeVisible();
      const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Captions as a file' }).click()]);
      // The last two captions are those of the question and of its answer: between them is time to think.
      const captions = captionsIn(await file.path());
      const asked = captions.findLast(([, to], index) => (captions[index + 1]?.[0] ?? 0) - to > 4000)!;
      const opened = await openFilm(page, await film.path(), mime, {
        momentsMs: [captions[0]![0] + 300, captions[1]![0] + 300],
        stretchesMs: [captions[0]!, captions[1]!, [asked[1] + 500, asked[1] + 4000]],
        stagePart: 0.85,
      });
      expect(opened).toMatchObject({ width: 1280, height: 720 });
      const [, minutes, seconds] = /(\d+):(\d\d) long/.exec(await page.getByRole('region', { name: 'The video' }).innerText())!;
      expect(Math.abs(opened.durationMs - (Number(minutes) * 60 + Number(seconds)) * 1000)).toBeLessThan(600);
      expect(opened.durationMs).toBeGreaterThan(captions.at(-1)![1]);
      expect(opened.minuteDeg[0]).toBeCloseTo(90, -1);
      expect(opened.minuteDeg[1]).toBeCloseTo(180, -1);
      for (const db of opened.db.slice(0, 2)) expect(db).toBeGreaterThan(-40);
      expect(opened.db[2]).toBeLessThan(-60);
      await page.getByRole('link', { name: 'Back to the recording' }).click();
    });
  }

  await test.step('captions, chapters and transcript', async () => {
    await page.getByRole('link', { name: 'Transcript' }).click();
    await expect(page.getByRole('heading', { name: /0:00 Watch: 3:15, 3:30/ })).toBeVisible();
    await expect(page.getByText(/The puffins are counted\./)).toBeVisible();
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Captions as a file' }).click()]);
    expect(readFileSync(await file.path(), 'utf8')).toMatch(/^WEBVTT\nLanguage: en-GB\n\n1\n00:00:0\d\.\d{3} --> 00:00:\d\d\.\d{3}\n/);
  });
});

test('a pupil hears the lesson: it goes on by itself, stops at the question, and goes on after the answer', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  await page.locator('summary', { hasText: 'More for Quarters at the tide gauge' }).click();
  await page.getByRole('link', { name: /^Give at own pace/ }).click();
  await expect(page.getByText('36 of 36 steps are recorded as they are now')).toBeVisible();
  await page.getByRole('button', { name: /^Give it to/ }).click();
  await expect(page.getByText('0 of 26 are done')).toBeVisible();
  const key = (await page.getByRole('list', { name: 'Room key' }).getByRole('listitem').allInnerTexts()).map((text) => text.trim());
  const elin = await newPupil('Elin');
  await elin.enterKey(key);
  await elin.page.getByRole('button', { name: 'Elin' }).click();
  const desk = elin.page;
  const step = (number: number) => expect(desk.getByText(`Step ${number} of`)).toBeVisible();
  await step(1);
  await desk.getByRole('button', { name: 'Slower' }).click();
  await expect(desk.getByRole('button', { name: 'Slower' })).toHaveAttribute('aria-pressed', 'true');
  await desk.getByRole('button', { name: 'Slower' }).click();
  await desk.getByRole('button', { name: 'Listen' }).click();
  await expect(desk.getByText('So today we cut the hour into quarters.')).toBeVisible();
  await step(2);
  await expect(desk.getByRole('button', { name: 'Pause' })).toBeVisible();
  expect((await new AxeBuilder({ page: desk }).analyze()).violations).toEqual([]);

  await test.step('just before the question it is listened to again, and goes on to the question and no further', async () => {
    const places = desk.getByRole('slider', { name: /^Step/ });
    const last = Number(await places.getAttribute('max'));
    await places.fill(String(last - 1));
    await step(last - 1);
    await step(last);
    await expect(desk.getByText('Answer, and it goes on.')).toBeVisible();
    await expect(desk.getByRole('button', { name: 'Listen again' })).toBeVisible();
    await step(last);
    await elin.read('6', '15');
    await expect(elin.sentence).toBeVisible();
    await step(last + 2);
  });
});
