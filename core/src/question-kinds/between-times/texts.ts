import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (from: string, to: string) => `Which time is between ${from} and ${to}?`,
    is: (letter: string, time: string, from: string, to: string) => `${letter} is: ${time} comes after ${from} and before ${to}.`,
    lookAt: 'Say the hours in order: which times come after the first one, and which before the second?',
  },
  de: {
    stem: (from: string, to: string) => `Welche Zeit liegt zwischen ${from} und ${to}?`,
    is: (letter: string, time: string, from: string, to: string) => `${letter}: ${time} kommt nach ${from} und vor ${to}.`,
    lookAt: 'Sag die Stunden der Reihe nach: Welche Zeiten kommen nach der ersten, und welche vor der zweiten?',
  },
} as const satisfies Record<Tongue, object>;
