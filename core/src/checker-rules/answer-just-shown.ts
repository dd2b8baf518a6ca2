import type { Beat } from '../beats/registry.js';
import { kindOf } from '../question-kinds/registry.js';
import { SECONDS_PER_HALF_DAY } from '../time/second-of-day.js';
import { dialHour, withOtherTime } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';

/** The time that a beat shows together with what it is. */
function shownBy(beat: Beat): number | null {
  if (beat.kind === 'show') return beat.build.hands === 'geared' && beat.build.display !== 'none' ? beat.build.timeSec : null;
  const tells =
    beat.kind === 'worked-example' ||
    beat.kind === 'missing-hand' ||
    beat.kind === 'mistake' ||
    (beat.kind === 'set' && beat.display === 'full');
  return tells ? beat.timeSec : null;
}

export const answerJustShown: CheckerRule = {
  severity: 'error',
  find: ({ lesson, steps, context }) =>
    lesson.beats.flatMap((beat, index) => {
      if (beat.kind !== 'ask') return [];
      // "Your turn." said between does not make it another time.
      const before = lesson.beats.slice(0, index).findLast(({ kind }) => kind !== 'say' && kind !== 'layers' && kind !== 'mark');
      const shownSec = before ? shownBy(before) : null;
      const item = context.itemOf(beat.itemId);
      const onDial = (sec: number) => sec % SECONDS_PER_HALF_DAY;
      if (
        shownSec === null ||
        !kindOf(item)
          .timesOf(item)
          .some((at) => onDial(at) === onDial(shownSec))
      )
        return [];
      return [
        {
          at: steps.find(({ beatIndex }) => beatIndex === index)!.ref,
          what: 'The answer to this question was just shown.',
          why: 'Repeating it tells nothing of who can read the clock.',
          mend: {
            label: 'Ask another time',
            apply: (one) => withOtherTime(one, item, (at) => onDial(at) !== onDial(shownSec) && dialHour(at) !== dialHour(shownSec)),
          },
        },
      ];
    }),
};
