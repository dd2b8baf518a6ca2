import { inTongue } from '../talk/registry.js';
import { hour12 } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const onceRoundADay: Misconception = {
  name: 'Takes one round for a day',
  whatThePupilDoes: 'Takes one round of the short hand for a whole day: the day has 12 hours.',
  sayToPupil: inTongue({
    en: 'The short hand goes round from midnight to noon. And then? How often does it go round until the next midnight?',
    de: 'Der kurze Zeiger geht von Mitternacht bis Mittag einmal herum. Und dann? Wie oft geht er bis zur nächsten Mitternacht herum?',
  }),
  nextMove: 'Run the hands through a whole day of the children, from midnight to midnight, and count the rounds.',
  distorts: (acts) => ({
    unit: (which) =>
      acts.unit(which).map((count) => ({ 'hours-in-day': 12, 'rounds-in-day': 1, 'rounds-from-noon': 1 })[which as string] ?? count),
    // There is no second round: every hour is one of 1 to 12.
    to24: (at) => acts.to24(at).map((typed) => ({ ...typed, hour: String(hour12(at)).padStart(2, '0') })),
  }),
};
