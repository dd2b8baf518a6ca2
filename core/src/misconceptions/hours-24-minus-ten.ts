import { inTongue } from '../talk/registry.js';
import { hour12, hour24 } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const hours24MinusTen: Misconception = {
  name: 'Takes ten from the 24-hour time',
  whatThePupilDoes: 'Takes ten away instead of twelve, or only the first digit: 15:00 becomes 5 o’clock.',
  sayToPupil: inTongue({
    en: 'From 13 on, take 12 away: 13 is 1, 14 is 2. How far is yours?',
    de: 'Ab 13 ziehst du 12 ab: 13 ist 1, 14 ist 2. Wie weit ist deine?',
  }),
  nextMove: 'Write the hours 13 to 24 inside the dial beside 1 to 12 and read pairs: 15 stands beside 3.',
  distorts: (acts) => ({
    to12: (at) => acts.to12(at).map((typed) => (hour24(at) > 12 ? { ...typed, hour: String(hour24(at) - 10) } : typed)),
    to24: (at) => acts.to24(at).map((typed) => (hour24(at) > 12 ? { ...typed, hour: String(hour12(at) + 10) } : typed)),
  }),
};
