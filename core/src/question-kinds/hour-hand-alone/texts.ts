import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'Only the short hand is there. About what time is it?',
    lookAt: 'How far has the short hand gone from its numeral to the next: a little, half way, or nearly all of it?',
    hour: 'Look at the numerals beside the short hand once more:',
    about: (time: string) => `It is about ${time}.`,
  },
  de: {
    stem: 'Nur der kurze Zeiger ist da. Wie spät ist es ungefähr?',
    lookAt: 'Wie weit ist der kurze Zeiger von seiner Zahl zur nächsten gegangen: ein wenig, die Hälfte oder fast ganz?',
    hour: 'Schau noch einmal auf die Zahlen neben dem kurzen Zeiger:',
    about: (time: string) => `Es ist ungefähr ${time}.`,
  },
} as const satisfies Record<Tongue, object>;
