import { inTongue } from '../talk/registry.js';
import { wrapDeg } from '../dial/pose.js';
import { minuteDigits } from '../time/display.js';
import { minuteOfHour } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const numeralAsMinutes: Misconception = {
  name: 'Reads the 9 as 9 minutes',
  nameAt: (numeral) => `Reads the ${numeral} as ${numeral} ${numeral === 1 ? 'minute' : 'minutes'}`,
  whatThePupilDoes:
    'Takes the numeral at the long hand for the number of minutes: 2:45 is read 2:09, 2:05 is set with the long hand on the 5.',
  sayToPupil: inTongue({
    en: 'Count round in fives from the 12 to the long hand: each numeral is five minutes further.',
    de: 'Zähle in Fünferschritten von der 12 bis zum langen Zeiger: Jede Zahl ist fünf Minuten weiter.',
  }),
  howItCame: inTongue({
    en: 'Took the numeral at the long hand for the minutes.',
    de: 'Hat die Zahl am langen Zeiger für die Minuten genommen.',
  }),
  byHeart: [0, 30],
  nextMove: 'Count in fives round the dial with the minute ring on, then read with the ring hidden.',
  distorts: (acts) => ({
    count: (minuteDeg) => acts.count(minuteDeg).map((minute) => (minute % 5 === 0 ? minute / 5 || 12 : minute)),
    read(pose) {
      const numeral = pose.minuteDeg / 30 || 12;
      if (!Number.isInteger(numeral)) return acts.read(pose);
      return acts.read(pose).flatMap(({ hour }) => [minuteDigits(numeral), String(numeral)].map((minute) => ({ hour, minute })));
    },
    set(at) {
      const minute = minuteOfHour(at);
      return acts.set(at).map((pose) => (minute >= 1 && minute <= 12 ? { ...pose, minuteDeg: wrapDeg(minute * 30) } : pose));
    },
  }),
};
