import type { MisconceptionId } from '../misconceptions/registry.js';
import type { Rng } from '../random/rng.js';
import { minuteOfHour, secondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import type { DemonstrationId } from '../draft/demonstrations/registry.js';
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
  /** One thing to try at home with what is there, without a printer, in a few sentences for whoever helps. */
  readonly atHome: Readonly<Record<Tongue, string>>;
  /** The wrong ideas that are usual here, the commonest first. */
  readonly misconceptions: readonly MisconceptionId[];
  /** Words that are used here for the first time, as they are said. */
  readonly words: Readonly<Record<Tongue, readonly string[]>>;
  /** What to have at hand, the demonstration dial aside. */
  readonly materials: readonly MaterialId[];
  /** Hours of the day in which there is something new to show, both included; any where absent. */
  readonly exampleHours?: readonly [from: number, to: number];
  /** How a dial of the day is read here, where it is not as its hands stand. */
  readonly readsAs?: 'of-24';
  /** How it is shown, and what an example of it is. */
  readonly demonstration: DemonstrationId;
  /** Kinds of questions that fit, the plainest first. */
  readonly kinds: readonly Item['kind'][];
  /** Whether its times are told from those of the other rungs by their minutes: where the class stands can be read from a lesson. */
  readonly byMinutes: boolean;
  /** The one time that questions are made about, where somebody has chosen it. */
  readonly only?: SecondOfDay;
  /** Times that are chosen on purpose, because something about them misleads. */
  readonly tricky: readonly { readonly hour: number; readonly minute: number; readonly why: Readonly<Record<Tongue, string>> }[];
  /** Two dials beside each other that show where the trap lies, and what is said of them. */
  readonly contrast?: {
    readonly times: readonly [ClockTime, ClockTime];
    readonly says: Readonly<Record<Tongue, string>>;
  };
  /** Kinds of questions that are about the goal of the rung, where it is not told by the minutes of their times. */
  readonly goalKinds?: readonly Item['kind'][];
}

/** A time of the dial. */
interface ClockTime {
  readonly hour: number;
  readonly minute: number;
}

/** A time on a rung: any hour of the dial, in the half of the day from noon on or before it. */
export function timeOnRung(rung: Rung, rng: Rng): SecondOfDay {
  if (rung.only !== undefined) return rung.only;
  const minute = rung.minutes[Math.floor(rng() * rung.minutes.length)]!;
  return secondOfDay(Math.floor(rng() * 24), minute);
}

/** How often a question about a chosen time is tried before it is made about another one of the rung. */
const DRAWS_ABOUT_ONE = 40;
/** On a rung on which a kind makes sense it comes long before that. */
const MOST_DRAWS = 5000;

/** The rung for each further draw of a question: with the time that was chosen, and after many draws without it. */
export function* rungsToTry(rung: Rung): Generator<Rung> {
  const { only, ...free } = rung;
  for (let draw = 0; draw < MOST_DRAWS; draw++) yield only === undefined || draw < DRAWS_ABOUT_ONE ? rung : free;
}

/** Whether every time has minutes that the rung allows. */
export function isOnRung(rung: Rung, times: readonly SecondOfDay[]): boolean {
  return times.every((at) => at % 60 === 0 && rung.minutes.includes(minuteOfHour(at)));
}
