import type { Rung } from '../rung.js';

/** Counting in fives round the dial. */
export const fiveMinutes: Rung = {
  name: 'Five-minute steps',
  after: 'quarter-to',
  minutes: [0, 5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55],
  newMinutes: [5, 10, 20, 25, 35, 40, 50, 55],
  topic: { en: 'five-minute steps', de: 'Fünf-Minuten-Schritte' },
  criteria: {
    en: [
      'I count in fives from the 12 to the long hand.',
      'I write the minutes with two digits: 05.',
      'Past the half I also say how many minutes are left.',
    ],
    de: [
      'Ich zähle in Fünfern von der 12 bis zum langen Zeiger.',
      'Ich schreibe die Minuten mit zwei Ziffern: 05.',
      'Nach der Hälfte sage ich auch, wie viele Minuten fehlen.',
    ],
  },
  misconceptions: ['numeral-as-minutes', 'zero-dropped', 'nearest-hour'],
  tricky: [
    { hour: 4, minute: 20, why: 'the hands nearly coincide' },
    { hour: 12, minute: 5, why: 'one digit of minutes, between 12 and 1' },
    { hour: 10, minute: 50, why: 'the short hand seems to be at the next numeral' },
  ],
};
