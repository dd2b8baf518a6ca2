import type { MisconceptionId } from '../misconceptions/registry.js';
import type { DemonstrationId } from '../draft/demonstrations/ids.js';
import type { Item } from '../question-kinds/registry.js';
import type { Tongue } from '../words/pack.js';
import type { MaterialId } from './materials.js';
import type { RungTimes } from './rung-times.js';

/** A step of the ladder that a class climbs: which times it is about, and what a lesson on it needs. */
export interface Rung extends RungTimes {
  readonly name: string;
  /** The rung that must come before; null for the first. */
  readonly after: string | null;
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
