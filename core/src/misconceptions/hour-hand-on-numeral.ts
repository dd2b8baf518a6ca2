import { inTongue } from '../talk/registry.js';
import { minuteHandDeg, wrapDeg } from '../dial/pose.js';
import { hour12 } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const hourHandOnNumeral: Misconception = {
  name: 'Leaves the short hand on the numeral',
  whatThePupilDoes: 'Points the short hand exactly at the hour, whatever the minutes are.',
  sayToPupil: inTongue({
    en: 'When the long hand goes round, the short hand creeps on. Where is it at half past?',
    de: 'Wenn der lange Zeiger herumgeht, wandert der kurze mit. Wo steht er, wenn es halb ist?',
  }),
  nextMove: 'Sweep one hour slowly with the long hand hidden: watch the short hand travel from numeral to numeral.',
  distorts: () => ({ set: (at) => [{ hourDeg: wrapDeg(hour12(at) * 30), minuteDeg: minuteHandDeg(at) }] }),
};
