import type { Rung } from '../rung.js';
import { READING_KINDS } from './reading-kinds.js';

/** Counting in fives past the half, and how many minutes are left. */
export const fiveTo: Rung = {
  name: 'Five minutes to',
  after: 'five-past',
  minutes: [0, 5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55],
  newMinutes: [35, 40, 50, 55],
  topic: { en: 'five-minute steps to the hour', de: 'Fünf-Minuten-Schritte vor der vollen Stunde' },
  criteria: {
    en: ['I count on in fives past the half.', 'I also say how many minutes are left to the coming hour.'],
    de: ['Ich zähle nach der Hälfte in Fünferschritten weiter.', 'Ich sage auch, wie viele Minuten bis zur nächsten Stunde fehlen.'],
  },
  atHome: {
    en: 'When something is about to begin, count back from the 12 in fives: how many minutes are left to the hour, and which hour is coming?',
    de: 'Bevor etwas anfängt: Zählt von der 12 aus in Fünferschritten zurück. Wie viele Minuten fehlen noch, und welche Stunde kommt?',
  },
  misconceptions: ['nearest-hour', 'to-keeps-hour', 'coming-hour', 'numeral-as-minutes', 'counts-other-way', 'to-as-past'],
  words: { en: ['to', 'left'], de: ['vor', 'es fehlen'] },
  materials: ['paper-dial', 'sheet'],
  demonstration: 'sweep',
  kinds: [...READING_KINDS, 'ring-minutes', 'minute-hand-alone', 'place-on-line', 'pattern', 'order-times'],
  byMinutes: true,
  contrast: {
    times: [
      { hour: 6, minute: 55 },
      { hour: 7, minute: 5 },
    ],
    says: {
      en: 'Five to seven and five past seven, side by side. Both short hands are close to the 7. On the left it has not reached the 7: the hour is still 6.',
      de: 'Fünf vor sieben und fünf nach sieben, nebeneinander. Beide kurzen Zeiger sind nah an der 7. Links ist er noch nicht da: Die Stunde ist noch 6.',
    },
  },
  tricky: [
    {
      hour: 10,
      minute: 50,
      why: { en: 'The short hand looks as if it were on the 11 already.', de: 'Der kurze Zeiger sieht aus, als wäre er schon auf der 11.' },
    },
    {
      hour: 12,
      minute: 40,
      why: {
        en: 'The short hand is nearer to the 1, but it is still on its way from 12.',
        de: 'Der kurze Zeiger ist näher bei der 1, kommt aber noch von der 12.',
      },
    },
    { hour: 7, minute: 40, why: { en: 'The long hand nearly hides the short one.', de: 'Der lange Zeiger verdeckt den kurzen fast.' } },
  ],
};
