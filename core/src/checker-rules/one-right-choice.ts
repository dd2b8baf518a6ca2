import { actsOf } from '../misconceptions/distorted-acts.js';
import { kindOf } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { anotherLike } from '../run/another.js';
import type { CheckerRule } from './rule.js';

/** Questions of which one choice is to be taken, where none is right, or more than one. */
export const oneRightChoice: CheckerRule = {
  severity: 'error',
  find: ({ lesson, steps, context }) =>
    lesson.beats.flatMap((beat, beatIndex) => {
      const item = beat.kind === 'ask' ? context.itemOf(beat.itemId) : null;
      if (!item) return [];
      const kind = kindOf(item);
      const view = kind.viewOf(item, lesson.settings);
      if (view.shape !== 'choices' || view.several) return [];
      const right = kind.predict(item, actsOf([], lesson.settings), lesson.settings).length;
      if (right === 1) return [];
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: right === 0 ? 'None of the choices is right.' : `${right} of the choices are right, and only one counts.`,
          why: 'Whoever thinks it through is left without an answer.',
          mend: {
            label: 'Ask another one like it',
            apply: (one) => {
              const other = anotherLike(item, one.items, item.id, one.settings, seededRng(one.items.length));
              return { ...one, items: one.items.map((asked) => (asked.id === item.id ? other : asked)) };
            },
          },
        },
      ];
    }),
};
