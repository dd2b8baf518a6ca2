import { kindOf } from '../question-kinds/registry.js';
import type { ShapeId } from '../question-kinds/shapes/shape.js';
import type { CheckerRule } from './rule.js';

/** So long a six-year-old needs at least, in seconds: to look, and to touch or turn. */
export const THINK_FLOOR: Readonly<Record<ShapeId, number>> = {
  time: 8,
  numbers: 6,
  line: 8,
  pose: 10,
  choices: 8,
  order: 12,
  words: 12,
  pairs: 12,
  times: 12,
};

export const thinkTooShort: CheckerRule = {
  severity: 'warning',
  find: ({ steps, context }) =>
    steps.flatMap(({ beat, ref }) => {
      if (beat.kind !== 'think') return [];
      const floor = THINK_FLOOR[kindOf(context.itemOf(beat.itemId)).shape];
      if (beat.seconds >= floor) return [];
      return [
        {
          at: ref,
          what: `Only ${beat.seconds} seconds to think.`,
          why: 'Whoever is slower than the quickest has no chance to answer.',
          mend: {
            label: `Give it ${floor} s`,
            apply: (lesson) => ({
              ...lesson,
              beats: lesson.beats.map((one) => (one.id === ref.beatId && one.kind === 'think' ? { ...one, seconds: floor } : one)),
            }),
          },
        },
      ];
    }),
};
