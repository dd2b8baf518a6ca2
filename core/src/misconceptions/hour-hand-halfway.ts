import { inTongue } from '../talk/registry.js';
import { minuteHandDeg, wrapDeg } from '../dial/pose.js';
import { hour12, minuteOfHour } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const hourHandHalfway: Misconception = {
  name: 'Puts the short hand half way, always',
  whatThePupilDoes: 'Puts the short hand half way between two numerals, whatever the minutes are.',
  sayToPupil: inTongue({
    en: 'The short hand is half way only at half past. Is that much of the hour gone here?',
    de: 'Auf halbem Weg steht der kurze Zeiger nur, wenn es halb ist. Ist hier schon so viel von der Stunde vorbei?',
  }),
  nextMove: 'Set 4:05, 4:15, 4:30 and 4:55 side by side and compare the four short hands.',
  distorts: (acts) => ({
    set: (at) => (minuteOfHour(at) === 0 ? acts.set(at) : [{ hourDeg: wrapDeg(hour12(at) * 30 + 15), minuteDeg: minuteHandDeg(at) }]),
  }),
};
