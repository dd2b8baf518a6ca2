import type { Rung } from '../rung.js';

/** The long hand on 12: the short hand points at its numeral. */
export const wholeHours: Rung = {
  name: 'Whole hours',
  after: null,
  minutes: [0],
  newMinutes: [0],
  topic: { en: 'whole hours', de: 'volle Stunden' },
  criteria: {
    en: ['The long hand on 12 means o’clock.', 'The short hand points at the hour.'],
    de: ['Der lange Zeiger auf der 12 heißt: volle Stunde.', 'Der kurze Zeiger steht auf der Stunde.'],
  },
  misconceptions: ['hands-exchanged', 'sixty-at-top', 'one-hour-back', 'counts-other-way'],
  words: { en: ['o’clock', 'hour hand', 'minute hand'], de: ['Uhr', 'Stundenzeiger', 'Minutenzeiger'] },
  materials: ['paper-dial', 'sheet'],
  demonstration: 'sweep',
  kinds: [
    'read-dial',
    'set-dial',
    'choose-one',
    'choose-all',
    'label-parts',
    'fill-face',
    'match',
    'hands-in-words',
    'write-display',
    'possible-dial',
    'order-times',
  ],
  byMinutes: true,
  tricky: [
    { hour: 12, minute: 0, why: 'both hands up' },
    { hour: 6, minute: 0, why: 'the hands make one line' },
  ],
};
