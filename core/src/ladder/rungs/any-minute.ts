import type { Rung } from '../rung.js';
import { READING_KINDS } from './reading-kinds.js';

/** In fives, and tick by tick. */
export const anyMinute: Rung = {
  name: 'Any minute',
  after: 'five-to',
  minutes: [
    0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26, 27, 28, 29, 30, 31, 32, 33, 34, 35,
    36, 37, 38, 39, 40, 41, 42, 43, 44, 45, 46, 47, 48, 49, 50, 51, 52, 53, 54, 55, 56, 57, 58, 59,
  ],
  newMinutes: [1, 4, 7, 12, 18, 23, 29, 32, 36, 41, 47, 52, 58, 59],
  topic: { en: 'any minute', de: 'jede Minute' },
  criteria: {
    en: ['I count in fives to the last numeral, and then tick by tick.', 'I write the minutes with two digits.'],
    de: ['Ich zähle in Fünferschritten bis zur letzten Zahl und dann Strich für Strich.', 'Ich schreibe die Minuten mit zwei Ziffern.'],
  },
  atHome: {
    en: 'Guess when a minute is over, with eyes shut, and look. Then read the clock to the minute three times a day: first in fives, then in ones.',
    de: 'Schätzt mit geschlossenen Augen, wann eine Minute um ist. Lest dann dreimal am Tag die Uhr auf die Minute: erst in Fünferschritten, dann in Einerschritten.',
  },
  misconceptions: ['numeral-as-minutes', 'zero-dropped', 'nearest-hour', 'tick-miscounted', 'count-starts-late', 'hands-exchanged'],
  words: { en: ['minute', 'tick'], de: ['Minute', 'Strich'] },
  materials: ['paper-dial', 'sheet'],
  demonstration: 'sweep',
  kinds: [...READING_KINDS, 'minute-hand-alone', 'place-on-line', 'order-times'],
  byMinutes: true,
  contrast: {
    times: [
      { hour: 6, minute: 58 },
      { hour: 7, minute: 2 },
    ],
    says: {
      en: 'Two minutes to seven and two minutes past seven, side by side. Both short hands are close to the 7. On the left the hour is still 6.',
      de: 'Zwei Minuten vor sieben und zwei Minuten nach sieben, nebeneinander. Beide kurzen Zeiger sind nah an der 7. Links ist die Stunde noch 6.',
    },
  },
  tricky: [
    { hour: 5, minute: 27, why: { en: 'The long hand nearly hides the short one.', de: 'Der lange Zeiger verdeckt den kurzen fast.' } },
    {
      hour: 12,
      minute: 4,
      why: {
        en: 'There are only four minutes, and it is between 12 and 1.',
        de: 'Es sind nur vier Minuten, und es ist zwischen 12 und 1.',
      },
    },
    {
      hour: 2,
      minute: 58,
      why: { en: 'The short hand looks as if it were on the 3 already.', de: 'Der kurze Zeiger sieht aus, als wäre er schon auf der 3.' },
    },
  ],
};
