import type { CheckerRule } from './rule.js';

/** Part of the target that a lesson may be off before it is told, and the least it may be off, since targets are whole minutes. */
const TOLERANCE = 0.1;
const LEAST_OFF_MS = 30_000;

export const offTarget: CheckerRule = {
  severity: 'warning',
  find({ lesson, totalMs }) {
    const targetMs = lesson.targetMinutes * 60_000;
    if (Math.abs(totalMs - targetMs) <= Math.max(TOLERANCE * targetMs, LEAST_OFF_MS)) return [];
    const minutes = Math.max(1, Math.round(totalMs / 60_000));
    if (minutes === lesson.targetMinutes) return []; // no lesson takes less than a minute
    return [
      {
        at: null,
        what: `The lesson takes about ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}, and ${lesson.targetMinutes} were wanted.`,
        why: 'What is too long is cut off at the end, where the check is.',
        mend: { label: `Plan ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`, apply: (one) => ({ ...one, targetMinutes: minutes }) },
      },
    ];
  },
};
