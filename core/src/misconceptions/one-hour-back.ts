import { inTongue } from '../talk/registry.js';
import { previousHour12 } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

/** Minutes past the hour in which the short hand seems to be at its numeral. */
const CLOSE_TO_NUMERAL_MIN = 10;

export const oneHourBack: Misconception = {
  name: 'Says the hour before',
  whatThePupilDoes: 'Steps back to the numeral before although the short hand is at its numeral or just past it: 6:05 becomes 5:05.',
  sayToPupil: inTongue({
    en: 'Look at the short hand once more: it has reached its numeral, so that hour has begun.',
    de: 'Schau noch einmal auf den kurzen Zeiger: Er hat seine Zahl erreicht, also hat diese Stunde angefangen.',
  }),
  howItCame: inTongue({
    en: 'Stepped back to the hour before, though the short hand has reached its numeral.',
    de: 'Ist zur Stunde davor zurückgegangen, obwohl der kurze Zeiger seine Zahl erreicht hat.',
  }),
  nextMove: 'Set 5:55, 6:00 and 6:05 one after the other and ask each time: has hour six begun yet?',
  distorts: (acts) => ({
    read: (pose) =>
      acts
        .read(pose)
        .map(({ hour, minute }) => ({ hour: Number(minute) < CLOSE_TO_NUMERAL_MIN ? String(previousHour12(Number(hour))) : hour, minute })),
  }),
};
