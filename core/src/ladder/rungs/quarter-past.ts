import type { Rung } from '../rung.js';
import { READING_KINDS } from './reading-kinds.js';

/** The long hand on 3: a quarter of the way round. */
export const quarterPast: Rung = {
  name: 'Quarter past',
  after: 'half-past',
  minutes: [0, 15, 30],
  newMinutes: [15],
  topic: { en: 'quarter past', de: 'Viertel nach' },
  criteria: {
    en: ['The long hand on 3 means quarter past: 15 minutes.', 'The short hand is a quarter of the way to the next numeral.'],
    de: ['Der lange Zeiger auf der 3 heißt Viertel nach: 15 Minuten.', 'Der kurze Zeiger ist ein Viertel auf dem Weg zur nächsten Zahl.'],
  },
  atHome: {
    en: 'Cut a round slice of bread or paper into quarters. Whenever the long hand reaches the 3, say it together: quarter past, and which hour it is past.',
    de: 'Schneidet eine runde Scheibe Brot oder Papier in Viertel. Immer wenn der lange Zeiger auf der 3 steht, sagt ihr zusammen, wie spät es ist.',
  },
  misconceptions: ['numeral-as-minutes', 'coming-hour', 'hour-hand-on-numeral', 'quarter-is-25', 'one-hour-back'],
  words: { en: ['quarter past'], de: ['Viertel nach'] },
  materials: ['paper-dial', 'sheet', 'folded-circle'],
  demonstration: 'sweep',
  kinds: [...READING_KINDS, 'hour-hand-alone', 'minute-hand-alone', 'ring-minutes', 'place-on-line', 'pattern', 'units'],
  byMinutes: true,
  contrast: {
    times: [
      { hour: 6, minute: 0 },
      { hour: 6, minute: 15 },
    ],
    says: {
      en: 'Six o’clock and quarter past six, side by side. The short hand has left its numeral: it creeps on with the long one.',
      de: 'Sechs Uhr und Viertel nach sechs, nebeneinander. Der kurze Zeiger ist weg von seiner Zahl: Er kriecht mit dem langen mit.',
    },
  },
  tricky: [
    { hour: 3, minute: 15, why: { en: 'The long hand nearly hides the short one.', de: 'Der lange Zeiger verdeckt den kurzen fast.' } },
    {
      hour: 12,
      minute: 15,
      why: { en: 'It is between 12 and 1, and 12 is the bigger number.', de: 'Es ist zwischen 12 und 1, und die 12 ist die größere Zahl.' },
    },
  ],
};
