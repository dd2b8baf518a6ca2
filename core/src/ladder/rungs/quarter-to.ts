import type { Rung } from '../rung.js';
import { READING_KINDS } from './reading-kinds.js';

/** The long hand on 9: a quarter of an hour is left. */
export const quarterTo: Rung = {
  name: 'Quarter to',
  after: 'quarter-past',
  minutes: [0, 15, 30, 45],
  newMinutes: [45],
  topic: { en: 'quarter to', de: 'Viertel vor' },
  criteria: {
    en: [
      'The long hand on 9 means quarter to: 15 minutes are left.',
      'The short hand is three quarters of the way to the coming hour: not there yet.',
    ],
    de: [
      'Der lange Zeiger auf der 9 heißt Viertel vor: Es fehlen 15 Minuten.',
      'Der kurze Zeiger ist drei Viertel auf dem Weg zur nächsten Stunde: noch nicht da.',
    ],
  },
  atHome: {
    en: 'Ask before something begins: “How long until it starts?” When the long hand is on the 9, it is a quarter of an hour to the next hour. Which hour is coming?',
    de: 'Fragt, bevor etwas anfängt: „Wie lange dauert es noch?“ Steht der lange Zeiger auf der 9, fehlt eine Viertelstunde bis zur nächsten Stunde. Welche kommt?',
  },
  misconceptions: ['nearest-hour', 'to-keeps-hour', 'to-as-past', 'coming-hour', 'numeral-as-minutes', 'hour-hand-at-coming'],
  words: { en: ['quarter to', 'the coming hour'], de: ['Viertel vor', 'die nächste Stunde'] },
  materials: ['paper-dial', 'sheet', 'folded-circle'],
  demonstration: 'sweep',
  kinds: [...READING_KINDS, 'hour-hand-alone', 'minute-hand-alone', 'ring-minutes', 'place-on-line', 'pattern', 'units'],
  byMinutes: true,
  contrast: {
    times: [
      { hour: 6, minute: 45 },
      { hour: 7, minute: 15 },
    ],
    says: {
      en: 'Quarter to seven and quarter past seven, side by side. On the left the short hand has not reached the 7, on the right it has passed it.',
      de: 'Viertel vor sieben und Viertel nach sieben, nebeneinander. Links ist der kurze Zeiger noch nicht bei der 7, rechts ist er daran vorbei.',
    },
  },
  tricky: [
    { hour: 8, minute: 45, why: { en: 'The long hand nearly hides the short one.', de: 'Der lange Zeiger verdeckt den kurzen fast.' } },
    {
      hour: 12,
      minute: 45,
      why: {
        en: 'The short hand is nearer to the 1, but it is still on its way from 12.',
        de: 'Der kurze Zeiger ist näher bei der 1, kommt aber noch von der 12.',
      },
    },
  ],
};
