import { isAboutGoal } from '../ladder/goal.js';
import { seededRng } from '../rehearsal/rng.js';
import { anotherLike } from '../run/another.js';
import { beforeGoodbye, questionsOf, withQuestion } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';

/** The last part of a lesson in which something must be asked. */
const LAST_PART = 0.3;
const DRAWS = 20;

export const noExitCheck: CheckerRule = {
  severity: 'warning',
  find(prepared) {
    const asked = questionsOf(prepared);
    const { rung } = prepared.lesson;
    const last = asked.at(-1);
    if (!last || last.startMs >= (1 - LAST_PART) * prepared.totalMs) return [];
    return [
      {
        at: prepared.steps.at(-1)!.ref,
        what: 'Nothing is asked towards the end.',
        why: 'What pupils can do when they leave would not be known.',
        mend: {
          label: 'Ask one more at the end',
          apply: (lesson) => {
            // About what the lesson teaches, where something was asked about it.
            const like = asked.findLast(({ item }) => rung && isAboutGoal(rung, item)) ?? last;
            const rng = seededRng(lesson.items.length);
            const drawn = Array.from({ length: DRAWS }, () => anotherLike(like.item, lesson.items, 'new', lesson.settings, rng));
            const other = drawn.find((one) => rung && isAboutGoal(rung, one)) ?? drawn[0]!;
            return withQuestion(lesson, beforeGoodbye(lesson), other, 25);
          },
        },
      },
    ];
  },
};
