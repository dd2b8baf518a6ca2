import { inTongue } from '../talk/registry.js';
import { timeTyped } from '../acts/typed-time.js';
import { nextHour12, previousHour12 } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { saysHalfPast } from '../words/says-half-past.js';
import type { Misconception } from './misconception.js';

export const halfOfComingHour: Misconception = {
  name: 'Takes half past as half of the coming hour',
  whatThePupilDoes: 'Counts the half towards the hour that is named, as several languages do: half past 4 is set as 3:30.',
  sayToPupil: inTongue({
    en: '“Half past” means half an hour after. The hour in the words has begun already.',
    de: '„Half past“ heißt eine halbe Stunde danach. Die Stunde, die genannt wird, hat schon angefangen.',
  }),
  sayWhile: {
    read: inTongue({
      en: 'At half past, the short hand is half way on from its hour: {which}',
      de: 'Wenn es halb ist, steht der kurze Zeiger auf halbem Weg. {which}',
    }),
  },
  howItCame: inTongue({
    en: 'Named the coming hour at half past.',
    de: 'Hat bei halb schon die nächste Stunde genannt.',
  }),
  nextMove: 'Say “half an hour after four o’clock” first, set 4:00, and let the hands run on half a turn.',
  distorts: (acts, { pack }) => ({
    read: (pose) =>
      acts.read(pose).map(({ hour, minute }) => ({ hour: minute === '30' ? String(nextHour12(Number(hour))) : hour, minute })),
    mean: (words) =>
      acts.mean(words).map((typed) => {
        const at = timeTyped(typed);
        const isHalfPast = at !== null && saysHalfPast(words, at, WORD_PACKS[pack]);
        return isHalfPast ? { ...typed, hour: String(previousHour12(Number(typed.hour))) } : typed;
      }),
  }),
};
