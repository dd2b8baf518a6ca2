import type { Acts } from '../acts/acts.js';
import { timeTyped, typedTime } from '../acts/typed-time.js';
import { minuteOfHour, type SecondOfDay } from '../time/second-of-day.js';
import type { WordPack } from '../words/pack.js';
import { say } from '../words/say.js';

/** How a wording counts: from the hour that has begun, towards the coming one, or by naming hour and minutes. */
export type Counting = 'past' | 'to' | 'named';

/** How a wording of a time counts; null where the words are none of its wordings. */
export function countingOf(words: string, at: SecondOfDay, pack: WordPack): Counting | null {
  const said = words.trim().toLowerCase();
  const isOf = (register: 'past-to' | 'hour-minutes' | 'coming-quarters') =>
    say(at, pack, register).some((wording) => wording.toLowerCase() === said);
  if (isOf('past-to') || isOf('coming-quarters')) return minuteOfHour(at) > 30 ? 'to' : 'past';
  return isOf('hour-minutes') ? 'named' : null;
}

/**
 * Understanding and saying words as somebody does who takes some wordings for another time.
 * @param taken the time that they take a wording of a time for; the same time where it makes no difference
 * @param says the time whose wordings they use for a time; the same time where it makes no difference
 */
export function distortWords(
  acts: Acts,
  pack: WordPack,
  taken: (at: SecondOfDay, counting: Counting) => SecondOfDay,
  says: (at: SecondOfDay) => SecondOfDay,
): Pick<Acts, 'mean' | 'word'> {
  return {
    mean: (words) =>
      acts.mean(words).map((typed) => {
        const at = timeTyped(typed);
        const counting = at === null ? null : countingOf(words, at, pack);
        if (at === null || counting === null) return typed;
        const other = taken(at, counting);
        return other === at ? typed : typedTime(other);
      }),
    word(at) {
      const other = says(at);
      // Hours and minutes one after the other are no matter of past and to.
      return other === at ? acts.word(at) : say(other, pack, 'past-to');
    },
  };
}
