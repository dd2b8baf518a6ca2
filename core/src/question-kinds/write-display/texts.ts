import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'Write this time on the display.',
    lookAt: 'Read the words once more: which word names the hour, and are the minutes before it or after it?',
    means: (words: string, time: string) => `“${words}” is ${time}.`,
  },
  de: {
    stem: 'Schreibe diese Zeit auf die Anzeige.',
    lookAt: 'Lies die Wörter noch einmal: Welches Wort nennt die Stunde, und ist es vor ihr oder nach ihr?',
    means: (words: string, time: string) => `„${words}“ ist ${time}.`,
  },
} as const satisfies Record<Tongue, object>;
