import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'What time is it?',
    right: (time: string) => `Yes, it is ${time}. You read both hands.`,
    otherForm: (time: string) => `That is the right time. A display of 12 hours shows it as ${time}.`,
  },
  de: {
    stem: 'Wie spät ist es?',
    right: (time: string) => `Ja, es ist ${time} Uhr. Du hast beide Zeiger gelesen.`,
    otherForm: (time: string) => `Die Zeit stimmt. Eine 12-Stunden-Anzeige zeigt sie so: ${time}.`,
  },
} as const satisfies Record<Tongue, object>;
