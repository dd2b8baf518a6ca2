import type { MisconceptionId } from '../misconceptions/registry.js';
import type { Rng } from '../rehearsal/rng.js';
import { minuteOfHour, secondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import type { DemonstrationId } from '../lesson/draft/demonstrations/registry.js';
import type { Item } from '../question-kinds/registry.js';
import type { Tongue } from '../words/pack.js';
import type { MaterialId } from './materials.js';

/** A step of the ladder that a class climbs: which times it is about, and what a lesson on it needs. */
export interface Rung {
  readonly name: string;
  /** The rung that must come before; null for the first. */
  readonly after: string | null;
  /** Minutes past the hour, 0 to 59, those of the rungs before included. */
  readonly minutes: readonly number[];
  /** Those that are new here: what a lesson on this rung is about. */
  readonly newMinutes: readonly number[];
  /** As a lesson names it: "Today: half past." */
  readonly topic: Readonly<Record<Tongue, string>>;
  /** How a pupil knows that the goal is reached, in whole sentences. */
  readonly criteria: Readonly<Record<Tongue, readonly string[]>>;
  /** The wrong ideas that are usual here, the commonest first. */
  readonly misconceptions: readonly MisconceptionId[];
  /** Words that are used here for the first time, as they are said. */
  readonly words: Readonly<Record<Tongue, readonly string[]>>;
  /** What to have at hand, the demonstration dial aside. */
  readonly materials: readonly MaterialId[];
  /** How it is shown, and what an example of it is. */
  readonly demonstration: DemonstrationId;
  /** Kinds of questions that fit, the plainest first. */
  readonly kinds: readonly Item['kind'][];
  /** Whether its times are told from those of the other rungs by their minutes: where the class stands can be read from a lesson. */
  readonly byMinutes: boolean;
  /** Times that are chosen on purpose, because something about them misleads. */
  readonly tricky: readonly { readonly hour: number; readonly minute: number; readonly why: string }[];
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
