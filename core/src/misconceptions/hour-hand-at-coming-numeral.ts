import { inTongue } from '../talk/registry.js';
import { minuteHandDeg, wrapDeg } from '../dial/pose.js';
import { hour12, minuteOfHour } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const hourHandAtComingNumeral: Misconception = {
  name: 'Puts the short hand on the next hour',
  whatThePupilDoes: 'Puts the short hand exactly on the next hour as soon as there are minutes.',
  sayToPupil: inTongue({
    en: 'The short hand starts at its own numeral and creeps. When will it be at the next one?',
    de: 'Der kurze Zeiger fängt bei seiner Zahl an und wandert. Wann ist er bei der nächsten?',
  }),
  nextMove: 'Sweep from 4:00 to 5:00 and stop often: the short hand reaches the 5 only when the long one is back at 12.',
  distorts: (acts) => ({
    set: (at) => (minuteOfHour(at) === 0 ? acts.set(at) : [{ hourDeg: wrapDeg(hour12(at) * 30 + 30), minuteDeg: minuteHandDeg(at) }]),
  }),
};
