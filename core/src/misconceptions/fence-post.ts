import { inTongue } from '../talk/registry.js';
import type { Misconception } from './misconception.js';

export const fencePost: Misconception = {
  name: 'Counts both ends',
  whatThePupilDoes: 'Counts the hour it starts with as one: from 6 to 9 becomes 4 hours, 3 hours after 6 becomes 8.',
  sayToPupil: inTongue({
    en: 'Count the jumps from hour to hour, not the hours themselves. The first one is only the start.',
    de: 'Zähle die Sprünge von Stunde zu Stunde, nicht die Stunden selbst. Die erste ist nur der Anfang.',
  }),
  nextMove: 'Walk along the day line: stand at 6 and count only when a step has been made.',
  distorts: (acts) => ({
    later: (at, minutes) => acts.later(at, isHours(minutes) ? minutes - 60 * Math.sign(minutes) : minutes),
    between: (from, to) => acts.between(from, to).map((minutes) => (isHours(minutes) ? minutes + 60 : minutes)),
  }),
};

/** Whole hours, more than one: those are counted on fingers. */
const isHours = (minutes: number): boolean => minutes % 60 === 0 && Math.abs(minutes) > 60;
