import { seededRng } from '../random/rng.js';
import { anotherLike } from '../run/another.js';
import { goalQuestion } from '../edit/goal-question.js';
import { beforeGoodbye, LAST_PART, questionsOf, withQuestion } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';

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
            const seed = lesson.items.length;
            const goal = rung && goalQuestion(lesson, rung, seed);
            const other = goal || anotherLike(last.item, lesson.items, 'new', lesson.settings, seededRng(seed));
            return withQuestion(lesson, beforeGoodbye(lesson), other, 25);
          },
        },
      },
    ];
  },
};
