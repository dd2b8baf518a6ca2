import { gearedPose } from '../dial/pose.js';
import { minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const handsExchanged: Misconception = {
  name: 'Hands exchanged',
  whatThePupilDoes: 'Takes the long hand for the hour and the short hand for the minutes.',
  sayToPupil: 'Look which hand is the short one: the short hand tells the hour, the long one tells the minutes.',
  nextMove: 'Hide one hand at a time: read the hour from the short hand alone, then add the long hand.',
  predictReading(shown) {
    const { hourDeg, minuteDeg } = gearedPose(shown);
    const hour = Math.floor(minuteDeg / 30) || 12;
    // The short hand is read at the tick it has reached, or rounded to the nearest one, or to the numeral beside it.
    const minutes = [Math.floor(hourDeg / 6), Math.round(hourDeg / 6) % 60, Math.floor(hourDeg / 30) * 5];
    return [...new Set(minutes)].map((minute) => ({ hour: String(hour), minute: minuteDigits(minute) }));
  },
  predictSetting(asked) {
    const { hourDeg, minuteDeg } = gearedPose(asked);
    const numeralDeg = (hour12(asked) % 12) * 30;
    const shortHand = (Math.floor(minuteOfHour(asked) / 5) % 12) * 30;
    return [
      { hourDeg: minuteDeg, minuteDeg: hourDeg },
      { hourDeg: shortHand, minuteDeg: numeralDeg },
    ];
  },
};
