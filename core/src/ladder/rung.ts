import type { Rng } from '../rehearsal/rng.js';
import { minuteOfHour, secondOfDay, type SecondOfDay } from '../time/second-of-day.js';

/** A step of the ladder that a class climbs: which minutes of the hour its times may have. */
export interface Rung {
  readonly name: string;
  /** Minutes past the hour, 0 to 59, those of the rungs before included. */
  readonly minutes: readonly number[];
}

/** A time on a rung: any hour of the dial, in the half of the day from noon on or before it. */
export function timeOnRung(rung: Rung, rng: Rng): SecondOfDay {
  const minute = rung.minutes[Math.floor(rng() * rung.minutes.length)]!;
  return secondOfDay(Math.floor(rng() * 24), minute);
}

/** Whether every time has minutes that the rung allows. */
export function isOnRung(rung: Rung, times: readonly SecondOfDay[]): boolean {
  return times.every((at) => at % 60 === 0 && rung.minutes.includes(minuteOfHour(at)));
}
