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
    de: ['Ich zähle in Fünfern von der 12 bis zum langen Zeiger.', 'Ich schreibe die Minuten mit zwei Ziffern: 05.'],
  },
  atHome: {
    en: 'Count in fives round a clock, a plate or the fingers: five, ten, fifteen … up to where the long hand points.',
    de: 'Zählt in Fünferschritten um eine Uhr, einen Teller oder an den Fingern: fünf, zehn, fünfzehn … bis zum langen Zeiger.',
  },
  misconceptions: ['numeral-as-minutes', 'zero-dropped', 'count-starts-on-12', 'hands-exchanged', 'written-as-heard', 'one-hour-back'],
  words: { en: ['past', 'in fives'], de: ['nach', 'in Fünfern'] },
  materials: ['paper-dial', 'sheet'],
  demonstration: 'sweep',
  kinds: [...READING_KINDS, 'ring-minutes', 'minute-hand-alone', 'place-on-line', 'pattern', 'order-times'],
  byMinutes: true,
  tricky: [
    { hour: 12, minute: 5, why: 'one digit of minutes, between 12 and 1' },
    { hour: 4, minute: 20, why: 'the hands nearly coincide' },
    { hour: 12, minute: 20, why: 'between 12 and 1' },
  ],
};
