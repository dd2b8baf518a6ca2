import { minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const numeralAsMinutes: Misconception = {
  name: 'Numeral as minutes',
  whatThePupilDoes: 'Reads the numeral at the long hand as the number of minutes: 2:45 becomes 2:09.',
  sayToPupil: 'Count round in fives from the 12 to the long hand: each numeral is five minutes further.',
  nextMove: 'Count in fives round the dial with the minute ring on, then read with the ring hidden.',
  predictReading(shown) {
    const minute = minuteOfHour(shown);
    if (minute % 5 !== 0) return [];
    const numeral = minute / 5 || 12;
    const hour = String(hour12(shown));
    return [
      { hour, minute: minuteDigits(numeral) },
      { hour, minute: String(numeral) },
    ];
  },
};
