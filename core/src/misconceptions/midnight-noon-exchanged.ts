import { inTongue } from '../talk/registry.js';
import type { HalfOfDay } from '../time/occurrence.js';
import { hour12, hour24, wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const midnightNoonExchanged: Misconception = {
  name: 'Swaps midnight and noon',
  whatThePupilDoes: 'Takes 12 at night for noon and 12 at noon for night: half past midnight becomes p.m.',
  sayToPupil: inTongue({
    en: 'Think of the middle of the day and the middle of the night: which of them is this 12?',
    de: 'Denk an die Mitte des Tages und an die Mitte der Nacht: Welche 12 ist das hier?',
  }),
  nextMove: 'Put 12:30 at night and 12:30 at lunch on the day line, one at each end of the morning.',
  distorts: (acts) => ({
    half: (at) => acts.half(at).map((half) => (hour12(at) === 12 ? other(half) : half)),
    rank: (at) => acts.rank(exchanged(at)),
    to24: (at) => acts.to24(exchanged(at)),
  }),
};

const other = (half: HalfOfDay): HalfOfDay => (half === 'am' ? 'pm' : 'am');

/** The hour after midnight taken for the one after noon, and the other way round. */
const exchanged = (at: SecondOfDay): SecondOfDay => (hour24(at) % 12 === 0 ? wrapSecondOfDay(at + 43_200) : at);
