import type { Rung } from '../rung.js';
import { FIVES } from './fives.js';

/** Twice round the dial a day: morning and afternoon. */
export const dayLine: Rung = {
  name: 'Morning and afternoon',
  after: 'hour-hand',
  minutes: FIVES,
  newMinutes: [0, 15, 30, 45],
  topic: { en: 'morning and afternoon', de: 'Vormittag und Nachmittag' },
  criteria: {
    en: ['I know that the short hand goes round twice a day.', 'I say whether a time is in the morning or in the afternoon.'],
    de: ['Ich weiß, dass der kurze Zeiger zweimal am Tag herumgeht.', 'Ich sage, ob eine Zeit am Vormittag oder am Nachmittag ist.'],
  },
  atHome: {
    en: 'Tell the day in order at bedtime: what came first, what next, and which of it was before noon.',
    de: 'Erzählt abends den Tag der Reihe nach: Was kam zuerst, was danach, und was davon war am Vormittag?',
  },
  misconceptions: ['am-pm-exchanged', 'midnight-noon-exchanged', 'once-round-a-day', 'no-wrap-at-12'],
  words: { en: ['midnight', 'noon', 'in the morning', 'in the afternoon'], de: ['Mitternacht', 'Mittag', 'am Vormittag', 'am Nachmittag'] },
  materials: ['day-strip', 'sheet'],
  demonstration: 'day-line',
  kinds: ['half-of-day', 'sensible-time', 'place-on-line', 'order-times', 'early-late', 'read-dial', 'set-dial', 'choose-all', 'units'],
  byMinutes: false,
  goalKinds: ['half-of-day', 'sensible-time', 'place-on-line', 'order-times', 'units'],
  tricky: [
    {
      hour: 12,
      minute: 0,
      why: { en: 'Noon and midnight look alike on the clock.', de: 'Mittag und Mitternacht sehen auf der Uhr gleich aus.' },
    },
    {
      hour: 12,
      minute: 30,
      why: {
        en: 'It is just after noon: the second round has only begun.',
        de: 'Es ist kurz nach Mittag: Die zweite Runde hat gerade angefangen.',
      },
    },
  ],
};
