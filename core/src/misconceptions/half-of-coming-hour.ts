import { gearedPose } from '../dial/pose.js';
import { hour12, minuteOfHour, previousHour12, wrapSecondOfDay } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const halfOfComingHour: Misconception = {
  name: 'Half of the coming hour',
  whatThePupilDoes: 'Counts the half towards the hour that is named, as several languages do: half past 4 becomes 3:30.',
  sayToPupil: '“Half past” means half an hour after. The hour in the words has begun already.',
  nextMove: 'Say “half an hour after four o’clock” first, set 4:00, and let the hands run on half a turn.',
  predictReading(shown) {
    if (minuteOfHour(shown) !== 30) return [];
    return [{ hour: String(previousHour12(hour12(shown))), minute: '30' }];
  },
  predictSetting(asked) {
    return minuteOfHour(asked) === 30 ? [gearedPose(wrapSecondOfDay(asked - 3600))] : [];
  },
};
