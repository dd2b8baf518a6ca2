import { RUNG_IDS, type RungId } from '../ladder/registry.js';
import type { Item } from '../question-kinds/registry.js';

/** Think times on the first rung, in seconds: to look, and to type, turn or compare. */
const ON_FIRST_RUNG: Readonly<Record<Item['kind'], number>> = { 'read-dial': 18, 'set-dial': 26, 'choose-all': 34 };
const MORE_A_RUNG = 2;
/** From here on the work is other, not longer. */
const LAST_RUNG_THAT_ADDS = RUNG_IDS.indexOf('any-minute');

/** How long a class of this age should have for a kind of question on a rung, in seconds. */
export function thinkSecondsFor(kind: Item['kind'], rung: RungId): number {
  return ON_FIRST_RUNG[kind] + MORE_A_RUNG * Math.min(LAST_RUNG_THAT_ADDS, RUNG_IDS.indexOf(rung));
}
