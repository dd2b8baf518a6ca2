import { kindOf } from '../question-kinds/registry.js';
import { dialHour, questionsOf, withOtherTime } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';

export const sameHourAgain: CheckerRule = {
  severity: 'warning',
  find(prepared) {
    // Questions about no time of day stand between: they have no hour to repeat.
    const asked = questionsOf(prepared).flatMap((one) => {
      const [first] = kindOf(one.item).timesOf(one.item);
      return first === undefined ? [] : [{ ...one, hour: dialHour(first) }];
    });
    return asked.slice(1).flatMap(({ item, at, hour }, index) => {
      if (asked[index]!.hour !== hour || asked[index]!.item.id === item.id) return [];
      const beside = [hour, asked[index + 2]?.hour];
      return [
        {
          at,
          what: 'This question has the same hour as the one before it.',
          why: 'Whoever missed the hour before can repeat it now without looking.',
          mend: { label: 'Ask another time', apply: (lesson) => withOtherTime(lesson, item, (time) => !beside.includes(dialHour(time))) },
        },
      ];
    });
  },
};
