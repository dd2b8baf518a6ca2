import type { SecondOfDay } from '../time/second-of-day.js';
import { isOnRung, type Rung } from './rung.js';
import { anyMinute } from './rungs/any-minute.js';
import { fiveMinutes } from './rungs/five-minutes.js';
import { halfPast } from './rungs/half-past.js';
import { quarterPast } from './rungs/quarter-past.js';
import { quarterTo } from './rungs/quarter-to.js';
import { wholeHours } from './rungs/whole-hours.js';

/** The rungs of reading a dial, lowest first. Ids stand in saved plans: add, never rename or reuse. */
export const RUNGS = {
  'whole-hours': wholeHours,
  'half-past': halfPast,
  'quarter-past': quarterPast,
  'quarter-to': quarterTo,
  'five-minutes': fiveMinutes,
  'any-minute': anyMinute,
} as const satisfies Record<string, Rung>;

export type RungId = keyof typeof RUNGS;
export const RUNG_IDS = Object.keys(RUNGS) as RungId[];

/** The lowest rung on which all these times stand; the highest one for times with seconds. */
export function rungIdOf(times: readonly SecondOfDay[]): RungId {
  return RUNG_IDS.find((id) => isOnRung(RUNGS[id], times)) ?? 'any-minute';
}

export function rungOf(times: readonly SecondOfDay[]): Rung {
  return RUNGS[rungIdOf(times)];
}

/** The rung after one; the last has none. */
export function rungAfter(id: RungId): RungId | null {
  return RUNG_IDS.find((next) => RUNGS[next].after === id) ?? null;
}
