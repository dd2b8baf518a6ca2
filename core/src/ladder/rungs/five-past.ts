import type { Rung } from '../rung.js';
import { READING_KINDS } from './reading-kinds.js';

/** Counting in fives from the 12, up to the half. */
export const fivePast: Rung = {
  name: 'Five minutes past',
  after: 'quarter-to',
  minutes: [0, 5, 10, 15, 20, 25, 30, 45],
  newMinutes: [5, 10, 20, 25],
  topic: { en: 'five-minute steps past the hour', de: 'Fünf-Minuten-Schritte nach der vollen Stunde' },
  criteria: {
    en: ['I count in fives from the 12 to the long hand.', 'I write the minutes with two digits: 05.'],
    de: ['Ich zähle in Fünferschritten von der 12 bis zum langen Zeiger.', 'Ich schreibe die Minuten mit zwei Ziffern: 05.'],
  },
  atHome: {
    en: 'Count in fives round a clock, a plate or the fingers: five, ten, fifteen … up to where the long hand points.',
    de: 'Zählt in Fünferschritten um eine Uhr, einen Teller oder an den Fingern: fünf, zehn, fünfzehn … bis zum langen Zeiger.',
  },
  misconceptions: ['numeral-as-minutes', 'zero-dropped', 'count-starts-on-12', 'hands-exchanged', 'written-as-heard', 'one-hour-back'],
  words: { en: ['past', 'in fives'], de: ['nach', 'in Fünferschritten'] },
  materials: ['paper-dial', 'sheet'],
  demonstration: 'sweep',
  kinds: [...READING_KINDS, 'ring-minutes', 'minute-hand-alone', 'place-on-line', 'pattern', 'order-times'],
  byMinutes: true,
  contrast: {
    times: [
      { hour: 8, minute: 5 },
      { hour: 8, minute: 25 },
    ],
    says: {
      en: 'Five past eight and twenty-five past eight, side by side. The short hand is just past the 8 on the left, and on the right nearly half way to the 9.',
      de: 'Fünf nach acht und fünf vor halb neun, nebeneinander. Links ist der kurze Zeiger kaum weg von der 8, rechts fast auf halbem Weg zur 9.',
    },
  },
  tricky: [
    {
      hour: 12,
      minute: 5,
      why: {
        en: 'There are only five minutes, and it is between 12 and 1.',
        de: 'Es sind nur fünf Minuten, und es ist zwischen 12 und 1.',
      },
    },
    { hour: 4, minute: 20, why: { en: 'The long hand nearly hides the short one.', de: 'Der lange Zeiger verdeckt den kurzen fast.' } },
    {
      hour: 12,
      minute: 20,
      why: { en: 'It is between 12 and 1, and 12 is the bigger number.', de: 'Es ist zwischen 12 und 1, und die 12 ist die größere Zahl.' },
    },
  ],
};
