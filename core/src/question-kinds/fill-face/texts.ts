import { listed } from '../../words/listed.js';
import type { Tongue } from '../../words/pack.js';

/** A numeral that is left out, and the letter that stands there. */
interface Missing {
  readonly letter: string;
  readonly numeral: number;
}

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'Which numerals are missing?',
    are: (numerals: readonly Missing[]) =>
      numerals.length === 1
        ? `The missing numeral is ${numerals[0]!.numeral}.`
        : `The missing numerals are ${listed(
            numerals.map(({ letter, numeral }) => `${numeral} at ${letter}`),
            'en',
          )}.`,
    lookAt: 'Go round from the 12 the way the hands go, and say each numeral.',
  },
  de: {
    stem: 'Welche Zahlen fehlen?',
    are: (numerals: readonly Missing[]) =>
      numerals.length === 1
        ? `Es fehlt die ${numerals[0]!.numeral}.`
        : `Es fehlen ${listed(
            numerals.map(({ letter, numeral }) => `die ${numeral} bei ${letter}`),
            'de',
          )}.`,
    lookAt: 'Geh von der 12 so herum, wie die Zeiger gehen, und sag jede Zahl.',
  },
} as const satisfies Record<Tongue, object>;
