import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'All but one show the same time. Which one does not?',
    odd: (letter: string, time: string) => `${letter} does not: all the others show ${time}.`,
    lookAt: 'Read them one by one and write each time in digits. Which one is another time?',
  },
  de: {
    stem: 'Alle außer einem zeigen dieselbe Zeit. Welches nicht?',
    odd: (letter: string, time: string) => `${letter} nicht: Alle anderen zeigen ${time}.`,
    lookAt: 'Lies eines nach dem anderen und schreib jede Zeit in Ziffern. Welches ist eine andere Zeit?',
  },
} as const satisfies Record<Tongue, object>;
