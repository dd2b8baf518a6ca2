import { prepareLesson, type PreparedLesson } from '../lesson/prepare.js';
import type { Lesson } from '../lesson/lesson.js';
import { CHECKER_RULES, type CheckerRuleId } from './registry.js';
import type { CheckerRule, Finding } from './rule.js';

/** A finding with the rule that found it. */
export interface NamedFinding extends Finding {
  readonly rule: CheckerRuleId;
  readonly severity: CheckerRule['severity'];
}

/** What the checker finds in a lesson, errors first, in the order of the rules. @throws CoreError what prepareLesson throws */
export function checkLesson(lesson: Lesson): NamedFinding[] {
  return checkPrepared(prepareLesson(lesson));
}

/** The same for a lesson that is made ready already. */
export function checkPrepared(prepared: PreparedLesson): NamedFinding[] {
  const found = Object.entries<CheckerRule>(CHECKER_RULES).flatMap(([rule, { severity, find }]) =>
    find(prepared).map((finding) => ({ ...finding, rule: rule as CheckerRuleId, severity })),
  );
  return [...found.filter(({ severity }) => severity === 'error'), ...found.filter(({ severity }) => severity === 'warning')];
}
