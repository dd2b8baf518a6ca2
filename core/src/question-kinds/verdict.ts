import type { Verdict } from './question-kind.js';

/** Right, in today's form or in another one. */
export function isRightVerdict(verdict: Verdict): boolean {
  return verdict === 'right' || verdict === 'right-other-form';
}
