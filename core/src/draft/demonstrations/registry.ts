import { dayLineDemonstration } from './day-line.js';
import type { Demonstration } from './demonstration.js';
import type { DemonstrationId } from './ids.js';
import { oneHandDemonstration } from './one-hand.js';
import { secondsDemonstration } from './seconds.js';
import { spanDemonstration } from './span.js';
import { sweepDemonstration } from './sweep.js';
import { twiceRoundDemonstration } from './twice-round.js';

/** Ways of showing, by id. */
export const DEMONSTRATIONS = {
  sweep: sweepDemonstration,
  'one-hand': oneHandDemonstration,
  'day-line': dayLineDemonstration,
  'twice-round': twiceRoundDemonstration,
  span: spanDemonstration,
  seconds: secondsDemonstration,
} as const satisfies Record<DemonstrationId, Demonstration>;
