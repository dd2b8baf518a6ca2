import { inTongue } from '../talk/registry.js';
import { distortMinutes } from './distort-minutes.js';
import type { Misconception } from './misconception.js';

export const countsOtherWay: Misconception = {
  name: 'Counts the other way round',
  whatThePupilDoes: 'Counts from the 12 to the left, against the clock: 2:20 becomes 2:40.',
  sayToPupil: inTongue({
    en: 'Which way do the hands go? Count from the 12 the way they go, past the 1.',
    de: 'In welche Richtung gehen die Zeiger? Zähle von der 12 so herum, an der 1 vorbei.',
  }),
  sayWhile: {
    numeral: inTongue({
      en: 'Which way do the hands go? The numerals go the same way round, from the 12 to the 1.',
      de: 'In welche Richtung gehen die Zeiger? So herum gehen auch die Zahlen, von der 12 zur 1.',
    }),
  },
  howItCame: inTongue({
    en: 'Counted against the way the hands go.',
    de: 'Hat gegen die Richtung der Zeiger gezählt.',
  }),
  byHeart: [0, 30],
  nextMove: 'Let the long hand run from the 12 and let the finger follow: the count goes the way the hand goes.',
  distorts: (acts) => ({
    ...distortMinutes(acts, (minute) => (60 - minute) % 60),
    numeral: (place) => acts.numeral(place).map((numeral) => (12 - numeral) % 12 || 12),
  }),
};
