import { RUNGS } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import { beforeGoodbye, questionsOf, withQuestion } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';

const HALF_PAST_SEVEN_SEC = 27_000;

export const oneDirection: CheckerRule = {
  severity: 'warning',
  find(prepared) {
    const { rung } = prepared.lesson;
    // Reading and setting are two directions only of what is read off a dial.
    if (rung && (RUNGS[rung] as Rung).goalKinds) return [];
    const asked = questionsOf(prepared).map(({ item }) => item);
    const [first] = asked;
    if (!first || asked.length < 2) return [];
    const isSet = (item: Item) => item.kind === 'set-dial';
    const onlySet = asked.every(isSet);
    if (!onlySet && asked.some(isSet)) return [];
    return [
      {
        at: null,
        what: onlySet ? 'Pupils only set clocks and never read one.' : 'Pupils only read clocks and never set one.',
        why: 'Some can do one and not the other, and it would not be seen.',
        mend: {
          label: onlySet ? 'Let them read one, too' : 'Let them set one, too',
          apply: (lesson) => {
            const timeSec = kindOf(first).timesOf(first)[0] ?? HALF_PAST_SEVEN_SEC;
            const other: Item = onlySet
              ? { id: 'new', kind: 'read-dial', timeSec: (timeSec + 5 * 3600) % 86_400 }
              : { id: 'new', kind: 'set-dial', timeSec: (timeSec + 5 * 3600) % 86_400, from: 'display', hands: 'geared' };
            return withQuestion(lesson, beforeGoodbye(lesson), other, 25);
          },
        },
      },
    ];
  },
};
