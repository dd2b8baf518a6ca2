import { inTongue } from '../talk/registry.js';
import type { Misconception } from './misconception.js';

export const nearestHour: Misconception = {
  name: 'Takes the nearest numeral',
  whatThePupilDoes: 'Takes the numeral that the short hand is nearest to: 2:45 becomes 3:45.',
  sayToPupil: inTongue({
    en: 'Look at the short hand again: {which} It has not reached the next one yet.',
    de: 'Schau noch einmal auf den kurzen Zeiger. {which} Bei der nächsten ist er noch nicht.',
  }),
  howItCame: inTongue({
    en: 'Took the numeral that is nearest to the short hand.',
    de: 'Hat die Zahl genommen, die dem kurzen Zeiger am nächsten ist.',
  }),
  nextMove: 'Sweep from quarter past to quarter to and stop where the nearest numeral changes: the hour does not.',
  distorts: (acts) => ({
    read: (pose) => acts.read(pose).map(({ minute }) => ({ hour: String(Math.round(pose.hourDeg / 30) % 12 || 12), minute })),
  }),
};
