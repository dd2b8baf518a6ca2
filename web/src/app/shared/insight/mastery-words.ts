import type { Mastery, MasteryWord } from '@zeitpunkt/core';

/** How mastery is said: a word first, with a sign that does not rely on colour. */
export const MASTERY_WORDS: Record<MasteryWord, { readonly words: string; readonly sign: string }> = {
  sure: { words: 'sure', sign: '✓' },
  nearly: { words: 'nearly', sign: '◐' },
  partly: { words: 'now and then', sign: '◔' },
  'not-yet': { words: 'not yet', sign: '○' },
  'too-few': { words: 'too few answers to say', sign: '?' },
};

const ofHundred = (part: number) => Math.round(100 * part);

const MS_PER_WEEK = 7 * 86_400_000;

/** For whoever asks: "7 of 9 right, last asked 3 weeks ago; would get 55 to 88 of 100 such questions right today". */
export function intervalWords({ answers, right, interval: [from, to], lastMs }: Mastery, nowMs: number): string {
  const weeks = lastMs === null ? 0 : Math.floor((nowMs - lastMs) / MS_PER_WEEK);
  const asked = weeks === 0 ? '' : `, last asked ${weeks === 1 ? 'a week' : `${weeks} weeks`} ago`;
  return `${right} of ${answers} right${asked}; would get about ${ofHundred(from)} to ${ofHundred(to)} of 100 such questions right today, 4 times in 5`;
}
