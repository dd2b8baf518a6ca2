import { inTongue } from '../lesson/talk/registry.js';
import type { TypedTime } from '../acts/typed-time.js';
import type { Misconception } from './misconception.js';

export const zeroDropped: Misconception = {
  name: 'Zero dropped',
  whatThePupilDoes: 'Writes one digit for minutes under ten, or puts the zero behind: 6:05 becomes 6:5 or 6:50.',
  sayToPupil: inTongue({
    en: 'The minutes always have two digits. Five minutes are written 05.',
    de: 'Die Minuten haben immer zwei Ziffern. Fünf Minuten schreibt man 05.',
  }),
  howItCame: inTongue({
    en: 'Left out the zero of the minutes.',
    de: 'Hat die Null der Minuten weggelassen.',
  }),
  nextMove: 'Write 6:05 and 6:50 one under the other, set both on the dial and ask which is later.',
  distorts: (acts) => ({
    read: (pose) => acts.read(pose).flatMap(withoutZero),
    mean: (words) => acts.mean(words).flatMap(withoutZero),
    later: (at, minutes) => acts.later(at, minutes).flatMap(withoutZero),
    to12: (at) => acts.to12(at).flatMap(withoutZero),
    to24: (at) => acts.to24(at).flatMap(withoutZero),
  }),
};

function withoutZero({ hour, minute }: TypedTime): TypedTime[] {
  if (!/^0\d$/.test(minute)) return [{ hour, minute }];
  const digit = minute.slice(1);
  const bare = { hour, minute: digit };
  return Number(digit) === 0 || Number(digit) > 5 ? [bare] : [bare, { hour, minute: `${digit}0` }];
}
