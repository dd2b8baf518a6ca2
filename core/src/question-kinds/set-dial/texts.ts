import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (time: string) => `Set the hands to ${time}.`,
    onPaper: (time: string) => `Draw the hands at ${time}.`,
    right: (time: string) => `Yes, that is ${time}. Both hands are in place.`,
    about: (time: string, isEarly: boolean) => `Yes, that is ${time}. The short hand belongs a little further ${isEarly ? 'on' : 'back'}.`,
    notYet: 'Not yet.',
    minuteRight: (where: string) => `Your long hand is right. Look at the short hand again: it belongs ${where}.`,
    hourRight: 'Your short hand is right.',
    start: 'Start with the short hand: where is it when the hour has begun?',
  },
  de: {
    stem: (time: string) => `Stell die Zeiger auf ${time}.`,
    onPaper: (time: string) => `Zeichne die Zeiger: ${time}.`,
    right: (time: string) => `Ja, das ist ${time} Uhr. Beide Zeiger stehen richtig.`,
    about: (time: string, isEarly: boolean) =>
      `Ja, das ist ${time} Uhr. Der kurze Zeiger gehört noch ein Stück ${isEarly ? 'weiter' : 'zurück'}.`,
    notYet: 'Noch nicht.',
    minuteRight: (where: string) => `Dein langer Zeiger stimmt. Schau noch einmal auf den kurzen: Sein Platz ist ${where}.`,
    hourRight: 'Dein kurzer Zeiger stimmt.',
    start: 'Fang mit dem kurzen Zeiger an: Wo steht er, wenn die Stunde angefangen hat?',
  },
} as const satisfies Record<Tongue, object>;
