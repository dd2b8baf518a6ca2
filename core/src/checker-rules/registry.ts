import { answerJustShown } from './answer-just-shown.js';
import { longSilence } from './long-silence.js';
import { neverPastTwelve } from './never-past-twelve.js';
import { noExitCheck } from './no-exit-check.js';
import { offTarget } from './off-target.js';
import { oneDirection } from './one-direction.js';
import { oneHalfOfDial } from './one-half-of-dial.js';
import type { CheckerRule } from './rule.js';
import { sameHourAgain } from './same-hour-again.js';
import { thinkTooShort } from './think-too-short.js';

/** Every rule by its id. */
export const CHECKER_RULES = {
  'answer-just-shown': answerJustShown,
  'think-too-short': thinkTooShort,
  'long-silence': longSilence,
  'one-direction': oneDirection,
  'no-exit-check': noExitCheck,
  'same-hour-again': sameHourAgain,
  'one-half-of-dial': oneHalfOfDial,
  'never-past-twelve': neverPastTwelve,
  'off-target': offTarget,
} as const satisfies Record<string, CheckerRule>;

export type CheckerRuleId = keyof typeof CHECKER_RULES;
