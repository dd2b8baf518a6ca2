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
  atHome: {
    en: 'At four moments of the day that come on the hour or near it, find out together which number the short hand points to. If there is no clock with hands at home, draw one on a plate and set two pencils on it.',
    de: 'Viermal am Tag, wenn es ungefähr eine volle Stunde ist: Schaut zusammen nach, auf welche Zahl der kurze Zeiger zeigt. Ohne Zeigeruhr geht es mit einem Teller und zwei Stiften.',
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
    {
      hour: 12,
      minute: 0,
      why: { en: 'The hands lie one over the other, and both point up.', de: 'Die Zeiger liegen übereinander und zeigen beide nach oben.' },
    },
    {
      hour: 6,
      minute: 0,
      why: {
        en: 'The hands make one straight line, one up and one down.',
        de: 'Die Zeiger bilden eine gerade Linie, einer nach oben, einer nach unten.',
      },
    },
  ],
};
