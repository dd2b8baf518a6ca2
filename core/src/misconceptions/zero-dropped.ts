import { inTongue } from '../talk/registry.js';
import type { TypedTime } from '../acts/typed-time.js';
import type { Misconception } from './misconception.js';

export const zeroDropped: Misconception = {
  name: 'Drops the zero',
  whatThePupilDoes: 'Writes one digit for minutes under ten, or puts the zero behind: 6:05 becomes 6:5 or 6:50.',
  sayToPupil: inTongue({
    en: 'The minutes always have two digits: five minutes are written 05, the full hour 00.',
    de: 'Die Minuten haben immer zwei Ziffern: Fünf Minuten schreibt man 05, die volle Stunde 00.',
  }),
  howItCame: inTongue({
    en: 'Left out the zero of the minutes.',
    de: 'Hat die Null der Minuten weggelassen.',
  }),
  byHeart: [0],
  nextMove: 'Write 6:05 and 6:50 one under the other, set both on the dial and ask which is later.',
  distorts: (acts) => ({ digits: (typed, words) => acts.digits(typed, words).flatMap(withoutZero) }),
};

function withoutZero({ hour, minute }: TypedTime): TypedTime[] {
  if (!/^0\d$/.test(minute)) return [{ hour, minute }];
  const digit = minute.slice(1);
  const bare = { hour, minute: digit };
  return Number(digit) === 0 || Number(digit) > 5 ? [bare] : [bare, { hour, minute: `${digit}0` }];
}
