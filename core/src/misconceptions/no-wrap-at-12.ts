import { inTongue } from '../talk/registry.js';
import { hour12, minuteOfHour, onDial } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const noWrapAt12: Misconception = {
  name: 'Goes on past twelve',
  whatThePupilDoes: 'Goes on counting after 12 on the 12-hour dial: 12 + 2 becomes 14 o’clock, and 12:30 comes after 1:15.',
  sayToPupil: inTongue({
    en: 'After 12 the hours begin again at 1.',
    de: 'Nach 12 fangen die Stunden wieder bei 1 an.',
  }),
  sayWhile: {
    rank: inTongue({
      en: 'In each half of the day the hour of the 12 comes first: after it the hours begin again at 1.',
      de: 'In jeder Hälfte des Tages kommt zuerst die Stunde der 12: Danach fangen die Stunden wieder bei 1 an.',
    }),
  },
  nextMove: 'Sweep from 11:00 to 2:00 and say each hour: eleven, twelve, one, two. The dial has no 13.',
  distorts: (acts) => ({
    later: (at, minutes) =>
      acts.later(at, minutes).map((typed) => {
        // As they count: on from the hour that the dial shows, or back from it below 1.
        const hour = Math.floor((hour12(at) * 60 + minuteOfHour(at) + minutes) / 60);
        return typed.hour === String(onDial(hour)) && hour > 12 && hour < 24 ? { ...typed, hour: String(hour) } : typed;
      }),
    // 12 is the largest numeral: they put it last.
    rank: (at) => acts.rank(at) + (hour12(at) === 12 ? 720 : 0),
  }),
};
