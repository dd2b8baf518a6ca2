import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'Which belong together?',
    together: (pairs: string) => `These belong together: ${pairs}.`,
    lookAt: 'Take one on the left, say its time aloud, and look for the same on the right.',
  },
  de: {
    stem: 'Was gehört zusammen?',
    together: (pairs: string) => `Das gehört zusammen: ${pairs}.`,
    lookAt: 'Nimm eines von links, sag seine Zeit laut und such rechts dieselbe.',
  },
} as const satisfies Record<Tongue, object>;
