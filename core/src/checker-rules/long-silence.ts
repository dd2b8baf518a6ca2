import { kindOf } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { anotherLike } from '../run/another.js';
import { questionsOf, withQuestion } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';
import { THINK_FLOOR } from './think-too-short.js';

/** So long a child of this age can only watch, in milliseconds. */
const LONGEST_MS = 4 * 60_000;

export const longSilence: CheckerRule = {
  severity: 'warning',
  find(prepared) {
    const asked = questionsOf(prepared);
    const [first] = asked;
    if (!first) return [];
    const moments = [0, ...asked.map(({ startMs }) => startMs), prepared.totalMs];
    return moments.slice(1).flatMap((next, index) => {
      const from = moments[index]!;
      if (next - from <= LONGEST_MS) return [];
      const middle =
        prepared.steps.find(({ startMs, stepInBeat }) => startMs >= (from + next) / 2 && stepInBeat === 0) ?? prepared.steps.at(-1)!;
      const item = (asked[index - 1] ?? first).item;
      return [
        {
          at: middle.ref,
          what: `For ${Math.round((next - from) / 60_000)} minutes nobody can answer.`,
          why: 'Children of this age watch for four minutes at the most.',
          mend: {
            label: 'Ask another question here',
            apply: (lesson) => {
              const beside = asked.slice(Math.max(0, index - 1), index + 1).map((one) => one.item);
              const other = anotherLike(item, lesson.items, 'new', lesson.settings, seededRng(lesson.items.length), beside);
              return withQuestion(lesson, middle.beatIndex, other, 2 * THINK_FLOOR[kindOf(item).shape]);
            },
          },
        },
      ];
    });
  },
};
