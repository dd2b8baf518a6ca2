import { withBeats } from '../lesson/lesson-parts.js';
import { thinkSecondsFor } from '../lesson/think-times.js';
import type { CheckerRule } from './rule.js';

/** A question that is answered at once: nobody has time to think. */
export const noThink: CheckerRule = {
  severity: 'warning',
  find: ({ lesson, steps, context }) =>
    lesson.beats.flatMap((beat, beatIndex) => {
      if (beat.kind !== 'ask') return [];
      const after = lesson.beats.slice(beatIndex + 1);
      const end = after.findIndex((one) => one.kind === 'ask' || (one.kind === 'answer' && one.itemId === beat.itemId));
      if (after.slice(0, end < 0 ? undefined : end).some((one) => one.kind === 'think' && one.itemId === beat.itemId)) return [];
      const seconds = thinkSecondsFor(context.itemOf(beat.itemId).kind, lesson.rung ?? 'whole-hours');
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: 'There is no time to think after this question.',
          why: 'Only the quickest answer then, and the others stop trying.',
          mend: {
            label: `Give it ${seconds} s`,
            apply: (one) => {
              const place = one.beats.findIndex(({ id }) => id === beat.id);
              return withBeats(one, place + 1, [{ kind: 'think', itemId: beat.itemId, seconds, text: '' }]);
            },
          },
        },
      ];
    }),
};
