import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (numeral: number) => `The long hand points at the ${numeral}. How many minutes is that?`,
    several: 'The long hand points at these numerals. How many minutes is each?',
    unit: 'minutes',
    is: (numeral: number, minutes: number) => `At the ${numeral} it is ${minutes} minutes.`,
    top: 'At the 12 no minutes have gone: the hour is just full.',
    lookAt: 'Count round in fives from the 12 to the numeral.',
  },
  de: {
    stem: (numeral: number) => `Der lange Zeiger steht auf der ${numeral}. Wie viele Minuten sind das?`,
    several: 'Der lange Zeiger steht auf diesen Zahlen. Wie viele Minuten sind das jeweils?',
    unit: 'Minuten',
    is: (numeral: number, minutes: number) => `Bei der ${numeral} sind es ${minutes} Minuten.`,
    top: 'Bei der 12 ist noch keine Minute vorbei: Die Stunde ist gerade voll.',
    lookAt: 'Zähle in Fünferschritten von der 12 bis zu der Zahl.',
  },
} as const satisfies Record<Tongue, object>;
