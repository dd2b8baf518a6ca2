import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'Which numerals are missing?',
    are: (numerals: string) => `The missing numerals are ${numerals}.`,
    lookAt: 'Go round from the 12 the way the hands go, and say each numeral.',
  },
  de: {
    stem: 'Welche Zahlen fehlen?',
    are: (numerals: string) => `Es fehlen ${numerals}.`,
    lookAt: 'Geh von der 12 so herum, wie die Zeiger gehen, und sag jede Zahl.',
  },
} as const satisfies Record<Tongue, object>;
