import type { Rng } from '../random/rng.js';
import type { Tongue } from '../words/pack.js';
import { minuteOfHour, secondOfDay, type SecondOfDay } from '../time/second-of-day.js';

/** What questions and demonstrations need to know of a rung of the ladder. They know no more of it, so that a rung may name them. */
export interface RungTimes {
  /** Minutes past the hour, 0 to 59, those of the rungs before included. */
  readonly minutes: readonly number[];
  /** Those that are new here: what a lesson on this rung is about. */
  readonly newMinutes: readonly number[];
  /** Kinds of questions that fit, the plainest first: what a class on this rung has learnt can be told from them. */
  readonly kinds: readonly string[];
  /** Times that are chosen on purpose, because something about them misleads. */
  readonly tricky: readonly { readonly hour: number; readonly minute: number; readonly why: Readonly<Record<Tongue, string>> }[];
  /** The one time that questions are made about, where somebody has chosen it. */
  readonly only?: SecondOfDay;
}

/** A time on a rung: any hour of the dial, in the half of the day from noon on or before it. */
export function timeOnRung(rung: RungTimes, rng: Rng): SecondOfDay {
  if (rung.only !== undefined) return rung.only;
  const minute = rung.minutes[Math.floor(rng() * rung.minutes.length)]!;
  return secondOfDay(Math.floor(rng() * 24), minute);
}

/** How often a question about a chosen time is tried before it is made about another one of the rung. */
const DRAWS_ABOUT_ONE = 40;
/** On a rung on which a kind makes sense it comes long before that. */
const MOST_DRAWS = 5000;

/** The rung for each further draw of a question: with the time that was chosen, and after many draws without it. */
export function* rungsToTry(rung: RungTimes): Generator<RungTimes> {
  const { only, ...free } = rung;
  for (let draw = 0; draw < MOST_DRAWS; draw++) yield only === undefined || draw < DRAWS_ABOUT_ONE ? rung : free;
}

/** Whether every time has minutes that the rung allows. */
export function isOnRung(rung: RungTimes, times: readonly SecondOfDay[]): boolean {
  return times.every((at) => at % 60 === 0 && rung.minutes.includes(minuteOfHour(at)));
}
