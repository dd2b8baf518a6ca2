import type { Rung } from '../rung.js';
import { FIVES } from './fives.js';

/** From one time on to another. */
export const durations: Rung = {
  name: 'How long',
  after: 'hours-24',
  minutes: FIVES,
  newMinutes: [0, 15, 20, 30, 45],
  topic: { en: 'how long something takes', de: 'wie lange etwas dauert' },
  criteria: {
    en: ['I count on from the start to the end, first to the full hour.', 'I say how long it takes in hours and minutes.'],
    de: [
      'Ich zähle vom Anfang bis zum Ende weiter, zuerst bis zur vollen Stunde.',
      'Ich sage in Stunden und Minuten, wie lange es dauert.',
    ],
  },
  atHome: {
    en: 'Note when something at home begins and ends, such as a meal. Count on from one time to the other: first to the full hour, then the rest.',
    de: 'Merkt euch, wann etwas anfängt und aufhört, zum Beispiel das Essen. Zählt von der einen Zeit zur anderen: erst bis zur vollen Stunde, dann den Rest.',
  },
  misconceptions: ['hour-as-hundred', 'fence-post', 'wrong-direction', 'no-wrap-at-12', 'coming-hour'],
  words: { en: ['start', 'end', 'how long'], de: ['Anfang', 'Ende', 'wie lange'] },
  materials: ['hour-strip', 'sheet'],
  demonstration: 'span',
  kinds: ['later-earlier', 'between-times', 'early-late', 'pattern', 'order-times', 'read-dial', 'set-dial', 'choose-all', 'units'],
  byMinutes: false,
  goalKinds: ['later-earlier', 'between-times', 'early-late', 'pattern'],
  tricky: [
    { hour: 12, minute: 45, why: { en: 'The hour goes on from 12 to 1.', de: 'Die Stunde geht von 12 auf 1 weiter.' } },
    { hour: 11, minute: 30, why: { en: 'It goes on over 12.', de: 'Es geht über die 12 hinweg.' } },
  ],
};
