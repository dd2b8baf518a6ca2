import { inTongue } from '../talk/registry.js';
import { later } from '../time/duration.js';
import { minuteOfHour } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { distortWords } from './distort-words.js';
import type { Misconception } from './misconception.js';

export const toKeepsHour: Misconception = {
  name: 'Keeps the hour for “to”',
  whatThePupilDoes: 'Writes the hour that is named before the minutes: quarter to 4 becomes 4:45, and 3:45 is said quarter to 3.',
  sayToPupil: inTongue({
    en: '“To” names the hour that is coming. It is not that hour yet: which one is it still?',
    de: '„Vor“ nennt die Stunde, die erst kommt. Noch ist es nicht so spät: Welche Stunde ist es noch?',
  }),
  sayWhile: {
    word: inTongue({
      en: 'Past the half we name the hour that is coming. Which hour comes next here?',
      de: 'Nach der Hälfte nennen wir die Stunde, die kommt. Welche Stunde kommt hier als nächste?',
    }),
  },
  nextMove: 'Set 3:45, say “quarter to four”, let the hands run on until it is four, and ask which hour it was before.',
  distorts: (acts, { pack }) =>
    distortWords(
      acts,
      WORD_PACKS[pack],
      (at, counting) => (counting === 'to' ? later(at, 3600) : at),
      (at) => (minuteOfHour(at) > 30 ? later(at, -3600) : at),
    ),
};
