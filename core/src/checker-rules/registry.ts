import { acceptsAnotherTime } from './accepts-another-time.js';
import { answerInWords } from './answer-in-words.js';
import { answerJustShown } from './answer-just-shown.js';
import { colourNamed } from './colour-named.js';
import { editOffTime } from './edit-off-time.js';
import { goalNotAsked } from './goal-not-asked.js';
import { helpToTheEnd } from './help-to-the-end.js';
import { longSilence } from './long-silence.js';
import { neverPastTwelve } from './never-past-twelve.js';
import { noExitCheck } from './no-exit-check.js';
import { noOneDigitMinute } from './no-one-digit-minute.js';
import { noOverlap } from './no-overlap.js';
import { noRecap } from './no-recap.js';
import { noThink } from './no-think.js';
import { noTo } from './no-to.js';
import { offRung } from './off-rung.js';
import { offTarget } from './off-target.js';
import { oneDirection } from './one-direction.js';
import { oneHalfOfDial } from './one-half-of-dial.js';
import { oneRightChoice } from './one-right-choice.js';
import { overlapWithoutPeek } from './overlap-without-peek.js';
import { poseAsTime } from './pose-as-time.js';
import type { CheckerRule } from './rule.js';
import { sameHourAgain } from './same-hour-again.js';
import { saysAnotherTime } from './says-another-time.js';
import { thinkTooShort } from './think-too-short.js';
import { toldRule } from './told-rule.js';
import { untaughtWording } from './untaught-wording.js';
import { wordNotIntroduced } from './word-not-introduced.js';

/** Every rule by its id. */
export const CHECKER_RULES = {
  'told-rule': toldRule,
  'one-right-choice': oneRightChoice,
  'accepts-another-time': acceptsAnotherTime,
  'says-another-time': saysAnotherTime,
  'untaught-wording': untaughtWording,
  'pose-as-time': poseAsTime,
  'answer-just-shown': answerJustShown,
  'answer-in-words': answerInWords,
  'off-rung': offRung,
  'edit-off-time': editOffTime,
  'no-think': noThink,
  'think-too-short': thinkTooShort,
  'long-silence': longSilence,
  'one-direction': oneDirection,
  'no-exit-check': noExitCheck,
  'no-recap': noRecap,
  'goal-not-asked': goalNotAsked,
  'same-hour-again': sameHourAgain,
  'one-half-of-dial': oneHalfOfDial,
  'never-past-twelve': neverPastTwelve,
  'no-one-digit-minute': noOneDigitMinute,
  'no-overlap': noOverlap,
  'no-to': noTo,
  'overlap-without-peek': overlapWithoutPeek,
  'colour-named': colourNamed,
  'help-to-the-end': helpToTheEnd,
  'word-not-introduced': wordNotIntroduced,
  'off-target': offTarget,
} as const satisfies Record<string, CheckerRule>;

export type CheckerRuleId = keyof typeof CHECKER_RULES;
