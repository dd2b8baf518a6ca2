import type { SecondOfDay } from '../time/second-of-day.js';
import { isOnRung, type Rung } from './rung.js';

const every = (step: number) => Array.from({ length: 60 / step }, (_, index) => index * step);

/** The rungs of reading a dial, lowest first. Ids stand in saved plans: add, never rename or reuse. */
export const RUNGS = {
  'whole-hours': { name: 'Whole hours', minutes: [0] },
  'half-past': { name: 'Half past', minutes: [0, 30] },
  'quarter-past': { name: 'Quarter past', minutes: [0, 15, 30] },
  'quarter-to': { name: 'Quarter to', minutes: every(15) },
  'five-minutes': { name: 'Five-minute steps', minutes: every(5) },
  'any-minute': { name: 'Any minute', minutes: every(1) },
} as const satisfies Record<string, Rung>;

export type RungId = keyof typeof RUNGS;
export const RUNG_IDS = Object.keys(RUNGS) as RungId[];

/** The lowest rung on which all these times stand; the highest one for times with seconds. */
export function rungOf(times: readonly SecondOfDay[]): Rung {
  return Object.values(RUNGS).find((rung) => isOnRung(rung, times)) ?? RUNGS['any-minute'];
}
