import type { Misconception } from './misconception.js';

export const nearestHour: Misconception = {
  name: 'Nearest hour',
  whatThePupilDoes: 'Takes the numeral that the short hand is nearest to: 2:45 becomes 3:45.',
  sayToPupil: 'Look at the short hand again: which numeral has it passed? It has not reached the next one yet.',
  nextMove: 'Sweep from quarter past to quarter to and stop where the nearest numeral changes: the hour does not.',
  distorts: (acts) => ({
    read: (pose) => acts.read(pose).map(({ minute }) => ({ hour: String(Math.round(pose.hourDeg / 30) % 12 || 12), minute })),
  }),
};
