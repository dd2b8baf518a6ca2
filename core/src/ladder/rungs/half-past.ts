import type { Rung } from '../rung.js';
import { READING_KINDS } from './reading-kinds.js';

/** The long hand half way round, the short hand half way to the next numeral. */
export const halfPast: Rung = {
  name: 'Half past',
  after: 'whole-hours',
  minutes: [0, 30],
  newMinutes: [30],
  topic: { en: 'half past', de: 'halbe Stunden' },
  criteria: {
    en: ['The long hand on 6 means half past: 30 minutes.', 'The short hand stands half way to the next numeral.'],
    de: ['Der lange Zeiger auf der 6 heißt halb: 30 Minuten.', 'Der kurze Zeiger steht auf halbem Weg zur nächsten Zahl.'],
  },
  atHome: {
    en: 'Say a time that is half past and let two pencils on a plate be the hands: the long one points to the 6, the short one lies half way between two numbers. Take turns.',
    de: 'Sagt eine halbe Stunde an und legt sie mit zwei Stiften auf einem Teller: Der lange zeigt auf die 6, der kurze liegt mitten zwischen zwei Zahlen. Wechselt euch ab.',
  },
  misconceptions: ['nearest-hour', 'coming-hour', 'half-of-coming-hour', 'hour-hand-on-numeral', 'long-hand-ignored', 'quarter-is-25'],
  words: { en: ['half past'], de: ['halb'] },
  materials: ['paper-dial', 'sheet', 'folded-circle'],
  demonstration: 'sweep',
  kinds: [...READING_KINDS, 'hour-hand-alone', 'place-on-line', 'pattern', 'units', 'fill-face'],
  byMinutes: true,
  contrast: {
    times: [
      { hour: 12, minute: 30 },
      { hour: 1, minute: 0 },
    ],
    says: {
      en: 'Half past twelve and one o’clock, side by side. On the left the short hand has not reached the 1 yet, so the hour is still 12.',
      de: 'Halb eins und ein Uhr, nebeneinander. Links ist der kurze Zeiger noch nicht bei der 1, also ist die Stunde noch 12.',
    },
  },
  tricky: [
    {
      hour: 12,
      minute: 30,
      why: { en: 'It is between 12 and 1, and 12 is the bigger number.', de: 'Es ist zwischen 12 und 1, und die 12 ist die größere Zahl.' },
    },
    {
      hour: 6,
      minute: 30,
      why: {
        en: 'The hands are close together, and the short one has left the 6.',
        de: 'Die Zeiger stehen dicht beieinander, und der kurze ist schon weg von der 6.',
      },
    },
  ],
};
