import { inTongue } from '../talk/registry.js';
import { distortMinutes } from './distort-minutes.js';
import type { Misconception } from './misconception.js';

export const tickMiscounted: Misconception = {
  name: 'Is one tick out',
  whatThePupilDoes: 'Counts a tick too many or too few after the fives: 2:23 becomes 2:24.',
  sayToPupil: inTongue({
    en: 'Count the single ticks up to the long hand once more, one by one.',
    de: 'Zähle die einzelnen Striche bis zum langen Zeiger noch einmal, einen nach dem anderen.',
  }),
  howItCame: inTongue({
    en: 'Counted a tick too many or too few.',
    de: 'Hat einen Strich zu viel oder zu wenig gezählt.',
  }),
  byHeart: [0, 30],
  nextMove: 'Enlarge one numeral to the next with its four ticks between, and name each: one, two, three, four, then the next five.',
  distorts: (acts) => distortMinutes(acts, (minute) => (minute % 5 === 0 ? minute : [minute - 1, minute + 1])),
};
