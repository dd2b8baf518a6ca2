import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stems: {
      dial: 'Which one is the time on this clock?',
      display: 'Which one shows the same time?',
      words: 'Which one shows the same time?',
    },
    noDial: 'Which hour is it, and is it past that hour or still before it?',
    is: (letter: string, time: string) => `${letter} is right: it is ${time}.`,
  },
  de: {
    stems: {
      dial: 'Was ist die Zeit auf dieser Uhr?',
      display: 'Was zeigt dieselbe Zeit?',
      words: 'Was zeigt dieselbe Zeit?',
    },
    noDial: 'Welche Stunde ist es, und ist es nach ihr oder noch davor?',
    is: (letter: string, time: string) => `${letter} stimmt: Es ist ${time}.`,
  },
} as const satisfies Record<Tongue, object>;
