import { kindOf } from '../question-kinds/registry.js';
import { dialHour, questionsOf, withOtherTime } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';

/** With fewer questions it may be chance. */
const LEAST_QUESTIONS = 4;

export const oneHalfOfDial: CheckerRule = {
  severity: 'warning',
  find(prepared) {
    const asked = questionsOf(prepared);
    const hours = asked.flatMap(({ item }) => kindOf(item).timesOf(item).map(dialHour));
    const isRight = (hour: number) => hour < 6;
    if (asked.length < LEAST_QUESTIONS || hours.some((hour) => isRight(hour) !== isRight(hours[0]!))) return [];
    const middle = asked[Math.floor(asked.length / 2)]!;
    return [
      {
        at: middle.at,
        what: `Every hour asked for is on the ${isRight(hours[0]!) ? 'right' : 'left'} half of the dial.`,
        why: 'On the other half the numerals stand the other way round from the hand, and nobody practises it.',
        mend: {
          label: 'Move this one to the other half',
          apply: (lesson) => withOtherTime(lesson, middle.item, (at) => isRight(dialHour(at)) !== isRight(hours[0]!)),
        },
      },
    ];
  },
};
