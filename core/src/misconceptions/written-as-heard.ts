import { inTongue } from '../talk/registry.js';
import type { ClockPart } from '../acts/acts.js';
import { timeTyped } from '../acts/typed-time.js';
import { minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { countingOf } from './distort-words.js';
import type { Misconception } from './misconception.js';

const EXCHANGED: Readonly<Partial<Record<ClockPart, ClockPart>>> = { hours: 'minutes', minutes: 'hours' };

export const writtenAsHeard: Misconception = {
  name: 'Writes it in the order of the words',
  whatThePupilDoes: 'Writes the numbers in the order of the words: ten past seven becomes 10:07.',
  sayToPupil: inTongue({
    en: 'On a display the hour always comes first. Which of your numbers is the hour?',
    de: 'Auf der Anzeige steht immer zuerst die Stunde. Welche von deinen Zahlen ist die Stunde?',
  }),
  sayWhile: {
    name: inTongue({
      en: 'On a display the hours stand on the left of the colon, the minutes on the right.',
      de: 'Auf der Anzeige stehen die Stunden links vom Doppelpunkt, die Minuten rechts.',
    }),
  },
  nextMove: 'Write the words “ten past seven”, ring the hour, and let it walk to the front of the display.',
  distorts: (acts, { pack }) => ({
    digits: (typed, words) =>
      acts.digits(typed, words).map((written) => {
        const at = timeTyped(written);
        const counting = at === null || words === null ? null : countingOf(words, at, WORD_PACKS[pack]);
        // Full hours have one number, and quarters and halves none that is heard before the hour.
        if (at === null || counting === null || counting === 'named' || minuteOfHour(at) % 15 === 0) return written;
        const [first, hour] = counting === 'past' ? [minuteOfHour(at), hour12(at)] : [60 - minuteOfHour(at), nextHour12(hour12(at))];
        return { hour: String(first), minute: minuteDigits(hour) };
      }),
    name: (part) => acts.name(part).map((name) => EXCHANGED[name] ?? name),
  }),
};
