import { minuteDigits } from '../time/display.js';
import type { Misconception } from './misconception.js';

export const numeralAsMinutes: Misconception = {
  name: 'Numeral as minutes',
  whatThePupilDoes: 'Reads the numeral at the long hand as the number of minutes: 2:45 becomes 2:09.',
  sayToPupil: 'Count round in fives from the 12 to the long hand: each numeral is five minutes further.',
  nextMove: 'Count in fives round the dial with the minute ring on, then read with the ring hidden.',
  distorts: (acts) => ({
    read(pose) {
      const numeral = pose.minuteDeg / 30 || 12;
      if (!Number.isInteger(numeral)) return acts.read(pose);
      return acts.read(pose).flatMap(({ hour }) => [minuteDigits(numeral), String(numeral)].map((minute) => ({ hour, minute })));
    },
  }),
};
