import { inTongue } from '../talk/registry.js';
import { wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const amPmExchanged: Misconception = {
  name: 'Swaps morning and afternoon',
  whatThePupilDoes: 'Takes the half before noon for the half after it: 7:30 in the evening becomes a.m.',
  sayToPupil: inTongue({
    en: 'Is it before lunch or after lunch? Before noon is one half of the day, after noon the other.',
    de: 'Ist es vor dem Mittagessen oder danach? Vor Mittag ist die eine Hälfte des Tages, nach Mittag die andere.',
  }),
  nextMove: 'Sort the events of the children’s own day on the day line, left and right of noon, then name the halves.',
  distorts: (acts) => ({
    half: (at) => acts.half(at).map((half) => (half === 'am' ? 'pm' : 'am')),
    to24: (at) => acts.to24(exchanged(at)),
  }),
};

const exchanged = (at: SecondOfDay): SecondOfDay => wrapSecondOfDay(at + 43_200);
