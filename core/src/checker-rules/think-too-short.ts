import type { Item } from '../question-kinds/registry.js';
import type { CheckerRule } from './rule.js';

/** So long a six-year-old needs at least, in seconds: to look, and to touch or turn. */
export const THINK_FLOOR: Readonly<Record<Item['kind'], number>> = { 'read-dial': 8, 'set-dial': 10, 'choose-all': 12 };

export const thinkTooShort: CheckerRule = {
  severity: 'warning',
  find: ({ steps, context }) =>
    steps.flatMap(({ beat, ref }) => {
      if (beat.kind !== 'think') return [];
      const floor = THINK_FLOOR[context.itemOf(beat.itemId).kind];
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
