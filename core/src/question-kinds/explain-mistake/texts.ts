import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (reading: string) => `Somebody read this clock as ${reading}. How did that come about?`,
    itIsRight: 'Nothing is wrong: that is the time.',
    lookAt: 'Read the clock yourself first. Which part of the answer is different from yours?',
    key: (how: string) => `This is how it came about: ${how}`,
    right: (time: string) => `The clock shows ${time}.`,
  },
  de: {
    stem: (reading: string) => `Jemand hat auf dieser Uhr ${reading} gelesen. Wie kam das?`,
    itIsRight: 'Nichts ist falsch: Das ist die Zeit.',
    lookAt: 'Lies die Uhr zuerst selbst. Welcher Teil der Antwort ist anders als deiner?',
    key: (how: string) => `So kam es dazu: ${how}`,
    right: (time: string) => `Die Uhr zeigt ${time}.`,
  },
} as const satisfies Record<Tongue, object>;
