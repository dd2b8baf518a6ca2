import { RUNG_IDS, type RungId } from '../ladder/registry.js';
import { QUESTION_KINDS, type QuestionKindId } from '../question-kinds/registry.js';

const MORE_A_RUNG = 2;
/** From here on the work is other, not longer. */
const LAST_RUNG_THAT_ADDS = RUNG_IDS.indexOf('any-minute');

/** How long a class of this age should have for a kind of question on a rung, in seconds. */
export function thinkSecondsFor(kind: QuestionKindId, rung: RungId): number {
  return QUESTION_KINDS[kind].thinkSec + MORE_A_RUNG * Math.min(LAST_RUNG_THAT_ADDS, RUNG_IDS.indexOf(rung));
}
