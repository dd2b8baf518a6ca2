import { inTongue } from '../talk/registry.js';
import { distortMinutes } from './distort-minutes.js';
import type { Misconception } from './misconception.js';

export const countStartsOn12: Misconception = {
  name: 'Counts the 12 as five',
  whatThePupilDoes: 'Counts the 12 itself as the first five: 2:20 becomes 2:25.',
  sayToPupil: inTongue({
    en: 'Start at the 12 with nothing counted yet. The 1 is the first five.',
    de: 'An der 12 ist noch nichts gezählt. Die 1 ist die erste Fünf.',
  }),
  sayWhile: {
    numeral: inTongue({
      en: 'The 12 is at the top, and the 1 comes after it. Start there and go round.',
      de: 'Oben steht die 12, danach kommt die 1. Fang dort an und geh herum.',
    }),
    set: inTongue({
      en: 'Start at the 12 with nothing counted yet: the long hand is on the 1 at five past.',
      de: 'An der 12 ist noch nichts gezählt: Um fünf nach steht der lange Zeiger auf der 1.',
    }),
  },
  howItCame: inTongue({
    en: 'Counted the 12 as the first five.',
    de: 'Hat die 12 schon als erste Fünf gezählt.',
  }),
  byHeart: [0, 30],
  nextMove: 'Count round together with a hand that starts at the 12: say “none yet” there, and “five” at the 1.',
  distorts: (acts) => ({
    ...distortMinutes(acts, (minute) => (minute === 0 ? minute : minute + 5)),
    numeral: (place) => acts.numeral(place).map((numeral) => (numeral % 12) + 1),
  }),
};
