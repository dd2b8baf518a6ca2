import type { SecondOfDay } from '../time/second-of-day.js';
import type { Rung } from './rung.js';
import { isOnRung } from './rung-times.js';
import { anyMinute } from './rungs/any-minute.js';
import { dayLine } from './rungs/day-line.js';
import { durations } from './rungs/durations.js';
import { fivePast } from './rungs/five-past.js';
import { fiveTo } from './rungs/five-to.js';
import { halfPast } from './rungs/half-past.js';
import { hourHand } from './rungs/hour-hand.js';
import { hours24 } from './rungs/hours-24.js';
import { quarterPast } from './rungs/quarter-past.js';
import { quarterTo } from './rungs/quarter-to.js';
import { seconds } from './rungs/seconds.js';
import { wholeHours } from './rungs/whole-hours.js';

/** The rungs of the ladder, lowest first: reading a dial, and what is done with it. Ids stand in saved plans: add, never rename or reuse. */
export const RUNGS = {
  'whole-hours': wholeHours,
  'half-past': halfPast,
  'quarter-past': quarterPast,
  'quarter-to': quarterTo,
  'five-past': fivePast,
  'five-to': fiveTo,
  'any-minute': anyMinute,
  'hour-hand': hourHand,
  'day-line': dayLine,
  'hours-24': hours24,
  durations,
  seconds,
} as const satisfies Record<string, Rung>;

export type RungId = keyof typeof RUNGS;
export const RUNG_IDS = Object.keys(RUNGS) as RungId[];

/** The lowest rung on which all these times stand, of those that are told by their minutes; the highest of them for times with seconds. */
export function rungIdOf(times: readonly SecondOfDay[]): RungId {
  return RUNG_IDS.find((id) => RUNGS[id].byMinutes && isOnRung(RUNGS[id], times)) ?? 'any-minute';
}

export function rungOf(times: readonly SecondOfDay[]): Rung {
  return RUNGS[rungIdOf(times)];
}

/** The rung after one; the last has none. */
export function rungAfter(id: RungId): RungId | null {
  return RUNG_IDS.find((next) => RUNGS[next].after === id) ?? null;
}
