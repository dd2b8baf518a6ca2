import { inTongue } from '../talk/registry.js';
import type { ClockPart } from '../acts/acts.js';
import { timeTyped } from '../acts/typed-time.js';
import { nearestTime } from '../dial/nearest-time.js';
import { wrapDeg, type Pose } from '../dial/pose.js';
import { minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour, SECONDS_PER_HALF_DAY, type SecondOfDay } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

const NAMES_EXCHANGED: Readonly<Partial<Record<ClockPart, ClockPart>>> = { 'short-hand': 'long-hand', 'long-hand': 'short-hand' };

export const handsExchanged: Misconception = {
  name: 'Swaps the hands',
  whatThePupilDoes: 'Takes the long hand for the hour and the short hand for the minutes.',
  sayToPupil: inTongue({
    en: 'Look which hand is the short one: the short hand tells the hour, the long one tells the minutes.',
    de: 'Schau, welcher Zeiger der kurze ist: Der kurze zeigt die Stunde, der lange die Minuten.',
  }),
  howItCame: inTongue({
    en: 'Took the long hand for the hour and the short hand for the minutes.',
    de: 'Hat den langen Zeiger für die Stunde genommen und den kurzen für die Minuten.',
  }),
  nextMove: 'Hide one hand at a time: read the hour from the short hand alone, then add the long hand.',
  distorts: (acts) => ({
    name: (part) => acts.name(part).map((name) => NAMES_EXCHANGED[name] ?? name),
    read({ hourDeg, minuteDeg }) {
      const hour = String(Math.floor(minuteDeg / 30) || 12);
      // The short hand is read at the nearest tick, or at the one it has reached, or at the numeral beside it.
      const minutes = [Math.round(hourDeg / 6) % 60, Math.floor(hourDeg / 6), Math.floor(hourDeg / 30) * 5];
      const shown = nearestTime({ hourDeg, minuteDeg });
      const typed = [...new Set(minutes)].map((minute) => ({ hour, minute: minuteDigits(minute) }));
      return typed.filter((one) => {
        const at = timeTyped(one);
        return at !== null && !isBeside(at, shown);
      });
    },
    set: (at) => [...acts.set(at).map(exchanged), numeralsExchanged(at)].filter((pose) => !isBeside(nearestTime(pose), at)),
  }),
};

/**
 * Where the hands nearly coincide, exchanging them is a minute or two off, as a miscounted tick is; the slip is the likelier.
 */
function isBeside(one: SecondOfDay, other: SecondOfDay): boolean {
  const apartSec = Math.abs(one - other) % SECONDS_PER_HALF_DAY;
  return Math.min(apartSec, SECONDS_PER_HALF_DAY - apartSec) <= 120;
}

const exchanged = ({ hourDeg, minuteDeg }: Pose): Pose => ({ hourDeg: minuteDeg, minuteDeg: hourDeg });

/** The long hand put exactly on the hour's numeral, the short one on the numeral of the minutes. */
function numeralsExchanged(at: SecondOfDay): Pose {
  return { hourDeg: wrapDeg(Math.floor(minuteOfHour(at) / 5) * 30), minuteDeg: wrapDeg(hour12(at) * 30) };
}
