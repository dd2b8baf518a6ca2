import { inTongue } from '../talk/registry.js';
import { later } from '../time/duration.js';
import { minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const comingHour: Misconception = {
  name: 'Says the coming hour',
  whatThePupilDoes: 'Names the numeral the short hand is on its way to whenever it is between two: 2:15 becomes 3:15.',
  sayToPupil: inTongue({
    en: 'The short hand is on its way to the next numeral, but it is not there yet: {which}',
    de: 'Der kurze Zeiger ist auf dem Weg zur nächsten Zahl, aber noch nicht da. {which}',
  }),
  sayWhile: {
    set: inTongue({
      en: 'Now read your own clock: {which} That is the hour it shows.',
      de: 'Lies jetzt deine eigene Uhr. {which} Das ist die Stunde, die sie zeigt.',
    }),
  },
  howItCame: inTongue({
    en: 'Took the numeral that the short hand is on its way to.',
    de: 'Hat die Zahl genommen, zu der der kurze Zeiger unterwegs ist.',
  }),
  nextMove: 'Show the zone each hour owns, from its numeral to the next, and ask for the hour of ten places in it.',
  distorts: (acts) => ({
    read: (pose) =>
      acts.read(pose).map(({ hour, minute }) => ({ hour: Number(minute) === 0 ? hour : String(nextHour12(Number(hour))), minute })),
    // They set the hands that they would read so: those of an hour before. Many set them right all the same, and only read so.
    set: (at) => (minuteOfHour(at) === 0 ? acts.set(at) : [...acts.set(later(at, -3600)), ...acts.set(at)]),
  }),
};
