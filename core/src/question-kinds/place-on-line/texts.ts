import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: { hour: 'Put the marker where this time is in the hour.', day: 'Put the marker where this time is in the day.' },
    onPaper: { hour: 'Draw an arrow where this time is in the hour.', day: 'Draw an arrow where this time is in the day.' },
    at: (time: string) => `Here is ${time}.`,
    lookAt: {
      hour: 'The hour begins at the left end. How many minutes is it from there?',
      day: 'Midnight is at both ends and noon in the middle. Is it before noon or after noon?',
    },
  },
  de: {
    stem: { hour: 'Setz die Marke dorthin, wo diese Zeit in der Stunde ist.', day: 'Setz die Marke dorthin, wo diese Zeit am Tag ist.' },
    onPaper: {
      hour: 'Zeichne einen Pfeil dorthin, wo diese Zeit in der Stunde ist.',
      day: 'Zeichne einen Pfeil dorthin, wo diese Zeit am Tag ist.',
    },
    at: (time: string) => `Hier ist ${time}.`,
    lookAt: {
      hour: 'Am linken Ende fängt die Stunde an. Wie viele Minuten sind es von dort?',
      day: 'An beiden Enden ist Mitternacht, in der Mitte Mittag. Ist es vor Mittag oder danach?',
    },
  },
} as const satisfies Record<Tongue, object>;
