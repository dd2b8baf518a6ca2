import { gearedPose } from '../dial/pose.js';
import { minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour, nextHour12, wrapSecondOfDay } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const comingHour: Misconception = {
  name: 'Coming hour',
  whatThePupilDoes: 'Names the numeral the short hand is on its way to whenever it is between two: 2:15 becomes 3:15.',
  sayToPupil: 'The short hand is on its way to the next numeral, but it is not there yet. Take the one it has passed.',
  nextMove: 'Show the zone each hour owns, from its numeral to the next, and ask for the hour of ten places in it.',
  predictReading(shown) {
    const minute = minuteOfHour(shown);
    if (minute === 0) return [];
    return [{ hour: String(nextHour12(hour12(shown))), minute: minuteDigits(minute) }];
  },
  predictSetting(asked) {
    return minuteOfHour(asked) === 0 ? [] : [gearedPose(wrapSecondOfDay(asked + 3600))];
  },
};
