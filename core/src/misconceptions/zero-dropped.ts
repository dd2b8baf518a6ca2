import { hour12, minuteOfHour } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const zeroDropped: Misconception = {
  name: 'Zero dropped',
  whatThePupilDoes: 'Writes one digit for minutes under ten, or puts the zero behind: 6:05 becomes 6:5 or 6:50.',
  sayToPupil: 'The minutes always have two digits. Five minutes are written 05.',
  nextMove: 'Write 6:05 and 6:50 one under the other, set both on the dial and ask which is later.',
  predictReading(shown) {
    const minute = minuteOfHour(shown);
    if (minute >= 10) return [];
    const hour = String(hour12(shown));
    const bare = { hour, minute: String(minute) };
    return minute === 0 || minute > 5 ? [bare] : [bare, { hour, minute: `${minute}0` }];
  },
};
