import { inTongue } from '../talk/registry.js';
import type { UnitQuestion } from '../acts/acts.js';
import { later } from '../time/duration.js';
import { minuteOfHour } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { distortWords } from './distort-words.js';
import type { Misconception } from './misconception.js';

/** What the words for quarters and halves are taken for, in minutes later than they are, by their minutes past the hour. */
const TAKEN_LATER_MIN: Readonly<Record<number, number>> = { 15: 10, 30: 20, 45: -10 };
/** Which minutes are said with words of earlier ones, in minutes earlier. */
const SAID_EARLIER_MIN: Readonly<Record<number, number>> = { 25: 10, 50: 20, 35: -10 };
const OF_A_HUNDRED: Readonly<Partial<Record<UnitQuestion, number>>> = {
  'minutes-in-half-hour': 50,
  'minutes-in-quarter': 25,
  'minutes-in-three-quarters': 75,
};

export const quarterIs25: Misconception = {
  name: 'Makes a quarter 25',
  whatThePupilDoes: 'Takes an hour for a hundred minutes when it is cut: quarter past 4 becomes 4:25, half past 4:50.',
  sayToPupil: inTongue({
    en: 'A whole round is 60 minutes, not 100. Cut it in half, or into four: how many minutes is each part?',
    de: 'Eine ganze Runde hat 60 Minuten, nicht 100. Teile sie in zwei oder in vier Teile: Wie viele Minuten hat jeder?',
  }),
  sayWhile: {
    unit: inTongue({
      en: 'A whole hour is 60 minutes. Cut 60, not 100: what is half of 60?',
      de: 'Eine ganze Stunde hat 60 Minuten. Teile 60, nicht 100: Was ist die Hälfte von 60?',
    }),
  },
  nextMove: 'Shade a quarter of the dial and count its minutes in fives; then do the same with a strip of 60.',
  distorts: (acts, { pack }) => ({
    ...distortWords(
      acts,
      WORD_PACKS[pack],
      (at, counting) => (counting === 'named' ? at : later(at, 60 * (TAKEN_LATER_MIN[minuteOfHour(at)] ?? 0))),
      (at) => later(at, -60 * (SAID_EARLIER_MIN[minuteOfHour(at)] ?? 0)),
    ),
    unit: (which) => acts.unit(which).map((count) => OF_A_HUNDRED[which] ?? count),
  }),
};
