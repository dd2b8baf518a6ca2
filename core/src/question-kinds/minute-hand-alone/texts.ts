import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'Only the long hand is there. Which times can it be? Choose all.',
    can: (letters: string) => `It can be ${letters}.`,
    lookAt: 'The long hand tells the minutes, but not the hour. Which times have these minutes?',
  },
  de: {
    stem: 'Nur der lange Zeiger ist da. Welche Zeiten können es sein? Wähle alle.',
    can: (letters: string) => `Es kann ${letters} sein.`,
    lookAt: 'Der lange Zeiger sagt die Minuten, aber nicht die Stunde. Welche Zeiten haben diese Minuten?',
  },
} as const satisfies Record<Tongue, object>;
