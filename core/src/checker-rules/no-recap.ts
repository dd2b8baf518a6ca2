import { RUNGS, type RungId } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { isOnRung } from '../ladder/rung-times.js';
import { kindOf } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { questionsOf, withQuestion } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';
import { thinkSecondsFor } from '../lesson/think-times.js';

/** A quarter of an hour has room for a recap. */
const LEAST_MINUTES = 12;
const FIRST_PART = 0.35;

export const noRecap: CheckerRule = {
  severity: 'warning',
  find(prepared) {
    const { lesson, totalMs } = prepared;
    const rung: Rung | null = lesson.rung ? RUNGS[lesson.rung] : null;
    const before = rung?.after as RungId | null | undefined;
    if (!lesson.rung || !before || !RUNGS[lesson.rung].byMinutes || lesson.targetMinutes < LEAST_MINUTES) return [];
    const early = questionsOf(prepared).filter(({ startMs }) => startMs < FIRST_PART * totalMs);
    if (early.some(({ item }) => isOnRung(RUNGS[before], kindOf(item).timesOf(item)))) return [];
    return [
      {
        at: prepared.steps[0]!.ref,
        what: 'What was learned last time is not asked for.',
        why: 'Whoever has lost it cannot build on it, and it would not be seen.',
        mend: {
          label: `Ask one of ${RUNGS[before].name.toLowerCase()} first`,
          apply: (one) => {
            const item = kindOf(RECAP).make('new', seededRng(one.items.length), RUNGS[before], one.settings);
            return withQuestion(one, one.beats[0]?.kind === 'say' ? 1 : 0, item, thinkSecondsFor('read-dial', before));
          },
        },
      },
    ];
  },
};

const RECAP = { id: 'recap', kind: 'read-dial', timeSec: 0 } as const;
