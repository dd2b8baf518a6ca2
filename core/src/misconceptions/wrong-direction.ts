import { inTongue } from '../talk/registry.js';
import type { Misconception } from './misconception.js';

export const wrongDirection: Misconception = {
  name: 'Swaps earlier and later',
  whatThePupilDoes: 'Goes back where it says later, and on where it says earlier; takes early for late.',
  sayToPupil: inTongue({
    en: 'Later means the hands go on; earlier means they go back. Which way is it here?',
    de: 'Später heißt: Die Zeiger gehen weiter. Früher heißt: Sie gehen zurück. Wohin geht es hier?',
  }),
  sayWhile: {
    rank: inTongue({
      en: 'Earlier comes first in the day, later comes after it. Which of them comes first?',
      de: 'Früher kommt zuerst am Tag, später kommt danach. Welche davon kommt zuerst?',
    }),
  },
  nextMove: 'Play it on the dial: turn the hands on and say “later”, turn them back and say “earlier”.',
  distorts: (acts) => ({
    later: (at, minutes) => acts.later(at, -minutes),
    rank: (at) => -acts.rank(at),
  }),
};
