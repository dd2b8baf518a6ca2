import type { Rng } from '../rehearsal/rng.js';
import { wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';

/** One of several, each as likely as the others. */
export function oneOf<const T>(choices: readonly [T, ...T[]], rng: Rng): T {
  return choices[Math.floor(rng() * choices.length)]!;
}

/** A time beside the right one, as a hurried count gives it: a tick, a five or an hour too far or too short. */
export function timeBeside(at: SecondOfDay, rng: Rng): SecondOfDay {
  return wrapSecondOfDay(at + oneOf([60, -60, 300, -300, 3600, -3600], rng));
}
