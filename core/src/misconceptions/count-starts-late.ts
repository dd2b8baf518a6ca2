import { inTongue } from '../talk/registry.js';
import { distortMinutes } from './distort-minutes.js';
import type { Misconception } from './misconception.js';

export const countStartsLate: Misconception = {
  name: 'Begins to count after the 1',
  whatThePupilDoes: 'Begins to count after the 1, and comes to five too few: 2:20 becomes 2:15.',
  sayToPupil: inTongue({
    en: 'The way from the 12 to the 1 is five minutes already. Count it, too.',
    de: 'Der Weg von der 12 zur 1 sind schon fünf Minuten. Zähle ihn mit.',
  }),
  sayWhile: {
    numeral: inTongue({
      en: 'Begin at the top with the 12, then the 1 follows at once. Which one comes before this place?',
      de: 'Oben steht die 12, gleich danach kommt die 1. Welche Zahl kommt vor diesem Platz?',
    }),
  },
  howItCame: inTongue({
    en: 'Began to count after the 1.',
    de: 'Hat erst nach der 1 angefangen zu zählen.',
  }),
  byHeart: [0, 30],
  nextMove: 'Let the long hand jump from the 12 to the 1 and say “five” when it lands; then count on.',
  distorts: (acts) => ({
    ...distortMinutes(acts, (minute) => (minute < 5 ? minute : minute - 5)),
    numeral: (place) => acts.numeral(place).map((numeral) => ((numeral + 10) % 12) + 1),
  }),
};
