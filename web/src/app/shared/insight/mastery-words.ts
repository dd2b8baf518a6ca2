import { MS_PER_DAY } from '@zeitpunkt/core/time/spans';
import type { Mastery, MasteryWord } from '@zeitpunkt/core/insight/mastery';
import { catalogue, count } from '../words/catalogue';

/** How mastery is said: a word first, with a sign that does not rely on colour. */
export const MASTERY_WORDS = catalogue<Readonly<Record<MasteryWord, { readonly words: string; readonly sign: string }>>>({
  en: {
    sure: { words: 'sure', sign: '✓' },
    nearly: { words: 'nearly', sign: '◐' },
    partly: { words: 'now and then', sign: '◔' },
    'not-yet': { words: 'not yet', sign: '○' },
    'too-few': { words: 'too few answers to say', sign: '?' },
  },
});

const INTERVAL_WORDS = catalogue({
  en: {
    asked: (weeks: number) => (weeks === 0 ? '' : `, last asked ${count(weeks, { one: 'a week', other: '{n} weeks' })} ago`),
    whole: (right: number, of: number, asked: string, from: number, to: number) =>
      `${right} of ${of} right${asked}; would get about ${from} to ${to} of 100 such questions right today, 4 times in 5`,
  },
});

const ofHundred = (part: number) => Math.round(100 * part);

/** For whoever asks: "7 of 9 right, last asked 3 weeks ago; would get 55 to 88 of 100 such questions right today". */
export function intervalWords({ answers, right, interval: [from, to], lastMs }: Mastery, nowMs: number): string {
  const weeks = lastMs === null ? 0 : Math.floor((nowMs - lastMs) / (7 * MS_PER_DAY));
  const { asked, whole } = INTERVAL_WORDS();
  return whole(right, answers, asked(weeks), ofHundred(from), ofHundred(to));
}
