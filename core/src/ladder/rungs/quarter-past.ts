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
    en: ['The long hand on 3 means quarter past: 15 minutes.', 'The short hand has just left its numeral.'],
    de: ['Der lange Zeiger auf der 3 heißt Viertel nach: 15 Minuten.', 'Der kurze Zeiger hat seine Zahl gerade verlassen.'],
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
  tricky: [
    { hour: 3, minute: 15, why: 'the hands nearly coincide' },
    { hour: 12, minute: 15, why: 'between 12 and 1' },
  ],
};
