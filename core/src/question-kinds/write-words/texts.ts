import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: ['Write this time in words.', 'Write this time in words, in two ways.'],
    fromDisplay: 'Which hour is it, and how many minutes past it or to the next one?',
    is: (words: string) => `It is ${words}.`,
    inWords: 'The time is right. Today we write it in words.',
    twoWays: 'The time is right. Say it in another way on the second line.',
  },
  de: {
    stem: ['Schreibe diese Zeit in Wörtern.', 'Schreibe diese Zeit in Wörtern, auf zwei Weisen.'],
    fromDisplay: 'Welche Stunde ist es, und wie viele Minuten sind es nach ihr oder bis zur nächsten?',
    is: (words: string) => `Es ist ${words}.`,
    inWords: 'Die Zeit stimmt. Heute schreiben wir sie in Wörtern.',
    twoWays: 'Die Zeit stimmt. Sag sie in der zweiten Zeile anders.',
  },
} as const satisfies Record<Tongue, object>;
