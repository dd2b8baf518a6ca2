import { inTongue } from '../talk/registry.js';
import { later } from '../time/duration.js';
import { minuteOfHour, type SecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { distortWords } from './distort-words.js';
import type { Misconception } from './misconception.js';

export const toAsPast: Misconception = {
  name: 'Takes “to” for “past”',
  whatThePupilDoes: 'Takes “to” for “past”: quarter to 4 becomes 4:15.',
  sayToPupil: inTongue({
    en: '“To” means the hour has not come yet: so many minutes are still missing.',
    de: '„Vor“ heißt: Die Stunde ist noch nicht da. So viele Minuten fehlen noch.',
  }),
  sayWhile: {
    word: inTongue({
      en: 'Past the half we say how long it is to the coming hour: “to”, not “past”.',
      de: 'Nach der Hälfte sagen wir, wie lange es bis zur nächsten Stunde ist: „vor“, nicht „nach“.',
    }),
  },
  nextMove: 'Set 3:45 and 4:15 side by side and ask of each: has four o’clock been, or is it still to come?',
  distorts: (acts, { pack }) =>
    distortWords(
      acts,
      WORD_PACKS[pack],
      (at, counting) => (counting === 'to' ? mirrored(at) : at),
      (at) => (minuteOfHour(at) > 30 ? mirrored(at) : at),
    ),
};

/** As far after the coming hour as a time is before it. */
const mirrored = (at: SecondOfDay): SecondOfDay => later(at, 120 * (60 - minuteOfHour(at)));
