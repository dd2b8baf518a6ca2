import type { Rung } from '../ladder/rung.js';
import { RUNGS, rungIdOf } from '../ladder/registry.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import { secondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { timesOf, withBeats } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';

/** What a lesson on a rung should have among its times. */
interface Wanted {
  /** So many times a lesson has before it is missed: a short one need not have every tricky case. */
  readonly leastTimes: number;
  readonly what: string;
  readonly why: string;
  readonly label: string;
  readonly isIt: (at: SecondOfDay) => boolean;
  /** Minutes of the rung with which it can be had, as a time; null where the rung has none. */
  readonly example: (rung: Rung) => SecondOfDay | null;
}

/** A rule that looks for a tricky case among the times of a lesson, and adds an example of it. */
export function missingExample({ leastTimes, what, why, label, isIt, example }: Wanted): CheckerRule {
  return {
    severity: 'warning',
    find(prepared: PreparedLesson) {
      const times = timesOf(prepared);
      if (times.length < leastTimes || times.some(isIt)) return [];
      const { lesson } = prepared;
      const rung: Rung = RUNGS[lesson.rung ?? rungIdOf(times)];
      const timeSec = rung.byMinutes ? example(rung) : null;
      if (timeSec === null) return [];
      const lastExample = lesson.beats.findLastIndex(({ kind }) => kind === 'worked-example');
      return [
        {
          at: null,
          what,
          why,
          mend: { label, apply: (one) => withBeats(one, lastExample + 1 || 1, [{ kind: 'worked-example', timeSec }]) },
        },
      ];
    },
  };
}

/** The first of some minutes that a rung has, in an hour; null where it has none. */
export function firstOnRung({ minutes }: Rung, wanted: readonly (readonly [hour: number, minute: number])[]): SecondOfDay | null {
  const found = wanted.find(([, minute]) => minutes.includes(minute));
  return found ? secondOfDay(found[0], found[1]) : null;
}
