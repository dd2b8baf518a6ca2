import { isAboutGoal } from '../ladder/goal.js';
import { RUNGS } from '../ladder/registry.js';
import { goalQuestion } from '../edit/goal-question.js';
import { beforeGoodbye, questionsOf, withQuestion } from '../lesson/lesson-parts.js';
import { thinkSecondsFor } from '../lesson/think-times.js';
import type { CheckerRule } from './rule.js';

/** With fewer questions it may be chance. */
const LEAST_QUESTIONS = 4;
/** Of the questions of a lesson, so many are about what it teaches at least. */
const LEAST_PART = 0.5;

/** A lesson asks what it teaches: in most of its questions, and at the end. */
export const goalNotAsked: CheckerRule = {
  severity: 'warning',
  find(prepared) {
    const { lesson } = prepared;
    const { rung } = lesson;
    if (!rung) return [];
    const asked = questionsOf(prepared);
    const about = asked.filter(({ item }) => isAboutGoal(rung, item));
    const last = asked.at(-1);
    if (!last || asked.length < LEAST_QUESTIONS) return [];
    const isFew = about.length < LEAST_PART * asked.length;
    if (!isFew && isAboutGoal(rung, last.item)) return [];
    const topic = RUNGS[rung].name.toLowerCase();
    return [
      {
        at: isFew ? null : last.at,
        what: isFew ? `Only ${about.length} of ${asked.length} questions are about ${topic}.` : `The last question is not about ${topic}.`,
        why: 'What a lesson teaches is seen only where it is asked.',
        mend: {
          label: isFew ? 'Ask more about it at the end' : 'Ask one about it at the end',
          apply: (one) => {
            // As many as are needed for half of them to be about it.
            const more = isFew ? asked.length - 2 * about.length : 1;
            return Array.from({ length: more }, (_, index) => index).reduce((so, index) => {
              const item = goalQuestion(so, rung, lesson.items.length + 3 + 17 * index);
              return item ? withQuestion(so, beforeGoodbye(so), item, thinkSecondsFor(item.kind, rung)) : so;
            }, one);
          },
        },
      },
    ];
  },
};
