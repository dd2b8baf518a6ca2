import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'Put these in order: the earliest first.',
    are: (cards: string) => `In order: ${cards}.`,
    lookAt: 'Which one comes first in the day? After 12 the hours begin again at 1.',
    day: { am: 'All of them are between midnight and noon.', pm: 'All of them are between noon and midnight.' },
  },
  de: {
    stem: 'Ordne: die früheste zuerst.',
    are: (cards: string) => `Der Reihe nach: ${cards}.`,
    lookAt: 'Welche kommt am Tag zuerst? Nach 12 fangen die Stunden wieder bei 1 an.',
    day: { am: 'Alle sind zwischen Mitternacht und Mittag.', pm: 'Alle sind zwischen Mittag und Mitternacht.' },
  },
} as const satisfies Record<Tongue, object>;
