import { inTongue } from '../talk/registry.js';
import type { TypedTime } from '../acts/typed-time.js';
import { minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour, onDial } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const hourAsHundred: Misconception = {
  name: 'Reckons with a hundred minutes',
  whatThePupilDoes: 'Reckons with times as with ordinary numbers: 3:10 − 2:50 becomes 60 minutes, 2:50 + 20 minutes becomes 2:70.',
  sayToPupil: inTongue({
    en: 'An hour is full at 60 minutes. Go to the full hour first, and then on from there.',
    de: 'Eine Stunde ist bei 60 Minuten voll. Geh zuerst bis zur vollen Stunde und dann weiter.',
  }),
  sayWhile: {
    unit: inTongue({
      en: 'Count round the dial in fives from the 12 back to the 12: where do you come to?',
      de: 'Zähle in Fünferschritten einmal um die Uhr, von der 12 bis zur 12: Wohin kommst du?',
    }),
  },
  nextMove: 'Jump along the hour line: first to the full hour, then the rest, and write the jumps above it.',
  distorts: (acts) => ({
    later(at, minutes) {
      const minute = minuteOfHour(at) + (minutes % 60);
      if (minute >= 0 && minute < 60) return acts.later(at, minutes);
      const hour = hour12(at) + Math.trunc(minutes / 60);
      // 2:50 + 20 stays 2:70, or is carried over like a hundred; 3:10 − 20 is 2:90.
      const kept: TypedTime = minute < 0 ? asTyped(hour - 1, minute + 100) : asTyped(hour, minute);
      return [kept];
    },
    between(from, to) {
      const digits = (at: typeof from) => hour12(at) * 100 + minuteOfHour(at);
      const apart = digits(to) - digits(from);
      // Within one hour it makes no difference; past 12 they stop.
      return apart > 0 && Math.floor(digits(to) / 100) > Math.floor(digits(from) / 100)
        ? [Math.floor(apart / 100) * 60 + (apart % 100)]
        : acts.between(from, to);
    },
    unit: (which) => acts.unit(which).map((count) => (which === 'minutes-in-hour' || which === 'seconds-in-minute' ? 100 : count)),
  }),
};

const asTyped = (hour: number, minute: number): TypedTime => ({ hour: String(onDial(hour + 12)), minute: minuteDigits(minute) });
