import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (hour: string, minute: string) => `The short hand is ${hour}. The long hand is ${minute}. What time is it?`,
  },
  de: {
    stem: (hour: string, minute: string) => `Der kurze Zeiger steht ${hour}. Der lange Zeiger steht ${minute}. Wie spät ist es?`,
  },
} as const satisfies Record<Tongue, object>;
