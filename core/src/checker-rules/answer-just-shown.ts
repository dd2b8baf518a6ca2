import { kindOf } from '../question-kinds/registry.js';
import { SECONDS_PER_HALF_DAY } from '../time/second-of-day.js';
import { dialHour, withOtherTime } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';

export const answerJustShown: CheckerRule = {
  severity: 'error',
  find: ({ lesson, steps, context }) =>
    lesson.beats.flatMap((beat, index) => {
      const before = lesson.beats[index - 1];
      if (beat.kind !== 'ask' || !before) return [];
      const shownSec = before.kind === 'worked-example' || (before.kind === 'set' && before.display === 'full') ? before.timeSec : null;
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
