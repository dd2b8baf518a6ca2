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
    en: ['The long hand on 9 means quarter to: 15 minutes are left.', 'The short hand is nearly at the coming hour, but not there yet.'],
    de: [
      'Der lange Zeiger auf der 9 heißt Viertel vor: Es fehlen 15 Minuten.',
      'Der kurze Zeiger ist fast bei der nächsten Stunde, aber noch nicht da.',
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
  tricky: [
    { hour: 8, minute: 45, why: 'the hands nearly coincide' },
    { hour: 12, minute: 45, why: 'between 12 and 1' },
  ],
};
