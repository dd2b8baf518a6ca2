import { hourHandDeg } from '../dial/pose.js';
import { minuteDigits } from '../time/display.js';
import { minuteOfHour } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const nearestHour: Misconception = {
  name: 'Nearest hour',
  whatThePupilDoes: 'Takes the numeral that the short hand is nearest to: 2:45 becomes 3:45.',
  sayToPupil: 'Look at the short hand again: which numeral has it passed? It has not reached the next one yet.',
  nextMove: 'Sweep from quarter past to quarter to and stop where the nearest numeral changes: the hour does not.',
  predictReading(shown) {
    const hour = Math.round(hourHandDeg(shown) / 30) % 12 || 12;
    return [{ hour: String(hour), minute: minuteDigits(minuteOfHour(shown)) }];
  },
};
