import { expect, type Page } from '@playwright/test';
import type { TeacherPage } from './teacher.js';
import { voiceTrack } from './voice-track.js';
import { ScriptPage } from './script.js';

const ARGS = ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'];
/** A browser whose microphone hears a generated voice. */
export const HEARS_VOICE = { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: [...ARGS, ...voiceTrack()] };

export const VOICE_TITLE = 'Two times at the pier';
const SETTINGS = {
  readingOrder: 'hour-first',
  betweenRule: 'passed',
  pack: 'en-GB',
  separator: ':',
  strictness: 'right-side',
  wordsPerMinute: 120,
};
/** A lesson of a few steps, whose dial stands alone. */
const LESSON = {
  format: 'zeitpunkt-lesson',
  formatVersion: 3,
  title: VOICE_TITLE,
  goal: 'I can read the hour.',
  successCriteria: [],
  targetMinutes: 5,
  settings: SETTINGS,
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
export interface KeptTake {
  readonly id: string;
  readonly at: { readonly beatId: string };
  readonly mime: string;
  readonly durationMs: number;
  readonly speech: readonly unknown[];
  readonly cues: readonly unknown[];
}

export const lessonIdOf = (page: Page): string => /lessons\/([0-9a-f-]+)/.exec(page.url())![1]!;

export async function takesOf(page: Page): Promise<readonly KeptTake[]> {
  const reply = await page.request.get(`${new URL(page.url()).origin}/api/lessons/${lessonIdOf(page)}/recording`);
  return ((await reply.json()) as { takes: KeptTake[] }).takes;
}

/** Takes the lesson in and opens its recording. */
export async function openRecorder(teacher: TeacherPage): Promise<void> {
  const { page } = teacher;
  await teacher.takeIn(JSON.stringify(LESSON), VOICE_TITLE);
  await page.getByRole('link', { name: `Edit ${VOICE_TITLE}` }).click();
  await new ScriptPage(page).more('Record');
  await expect(page.getByText('0 of 4 steps')).toBeVisible();
}

/** Waits until the take at hand is so many seconds long at least, and says how many it is: a slow machine may miss any one of them. */
export async function recordedFor(page: Page, seconds: number): Promise<number> {
  let shown = 0;
  const read = async () => {
    const [, minute, second] = /Recording (\d+):(\d\d)/.exec(await page.getByRole('timer').innerText()) ?? [];
    return (shown = 60 * Number(minute ?? 0) + Number(second ?? 0));
  };
  await expect.poll(read).toBeGreaterThanOrEqual(seconds);
  return shown;
}

/** Strikes a key that records a step, and waits until somebody has spoken there for some seconds. */
export async function speak(page: Page, key: string, step: string): Promise<void> {
  await page.keyboard.press(key);
  await expect(page.getByRole('region', { name: 'Takes' }).getByRole('button', { name: step })).toHaveAttribute('aria-current', 'step');
  await recordedFor(page, 3);
}
