import type { Rung } from '../ladder/rung.js';
import { oneOf } from '../question-kinds/slips.js';
import type { Rng } from '../random/rng.js';
import { minuteOfHour, SECONDS_PER_HALF_DAY, secondOfDay, type SecondOfDay } from '../time/second-of-day.js';

/** How often a time is about what is new on its rung; otherwise it is from a rung below. */
const NEW_PART = 0.75;
const MOST_DRAWS = 8;

export interface Wanted {
  /** Of the day, 0 to 23, both included. */
  readonly hours?: readonly [from: number, to: number];
  readonly isNew?: true;
}

/** Picks the times of a lesson: balanced over hours and both halves of the dial, none again before all others were used. */
export class TimePicker {
  private readonly used: Used[] = [];
  /** What the times that were drawn would add, by their place on the dial, until another one is used. */
  private readonly costs = new Map<SecondOfDay, number>();

  constructor(
    private readonly rung: Rung,
    private readonly rng: Rng,
  ) {}

  /** A time that was chosen already, the tricky ones for one. */
  use(at: SecondOfDay): SecondOfDay {
    this.used.push(usedAt(at));
    this.costs.clear();
    return at;
  }

  /** The next time: within some hours of the day, 0 to 23, and about what is new on the rung, where that matters. */
  next(wanted: Wanted = {}): SecondOfDay {
    return this.use(this.peek(wanted));
  }

  /** The same, to be looked at first: it counts as used only when it is. */
  peek({ hours, isNew }: Wanted = {}): SecondOfDay {
    const wantsNew = isNew ?? this.rng() < NEW_PART;
    const draws = Array.from({ length: MOST_DRAWS }, () => this.draw(hours, wantsNew));
    const costs = draws.map((at) => this.cost(at));
    return draws[costs.indexOf(Math.min(...costs))]!;
  }

  /** Every time that could be drawn, each of the dial once. */
  all({ hours: [from, to] = [7, 18], isNew }: Wanted = {}): SecondOfDay[] {
    const { newMinutes, minutes } = this.rung;
    const hours = Array.from({ length: Math.min(12, to - from + 1) }, (_, index) => from + index);
    return hours.flatMap((hour) => (isNew ? newMinutes : minutes).map((minute) => secondOfDay(hour, minute)));
  }

  private draw([from, to]: readonly [number, number] = [7, 18], isNew = true): SecondOfDay {
    const { newMinutes, minutes } = this.rung;
    const minute = oneOf((isNew ? newMinutes : minutes) as [number, ...number[]], this.rng);
    return secondOfDay(from + Math.floor(this.rng() * (to - from + 1)), minute);
  }

  private cost(at: SecondOfDay): number {
    const onDial = (at % SECONDS_PER_HALF_DAY) as SecondOfDay;
    let cost = this.costs.get(onDial);
    if (cost === undefined) this.costs.set(onDial, (cost = this.costOf(usedAt(at))));
    return cost;
  }

  /** How little a time would add: it was asked before, or lately the same hour, the same minutes or the same half of the dial. */
  private costOf({ onDial, hour, minute }: Used): number {
    // Where little is new, the same minutes are what the lesson is about.
    const minutesCount = this.rung.newMinutes.length > 2;
    const { used } = this;
    let sum = 0;
    used.forEach((before, index) => {
      const recent = 1 / (used.length - index);
      if (before.onDial === onDial) sum += 4 + 20 * recent;
      if (before.hour === hour) sum += 3 * recent + 0.4;
      if (minutesCount && before.minute === minute) sum += recent;
      if (before.hour < 6 === hour < 6) sum += 0.3 * recent;
    });
    return sum;
  }
}

/** A time that was used, by its place on the dial in seconds since 12, the full hour behind it, 0 to 11, and its minute. */
interface Used {
  readonly onDial: SecondOfDay;
  readonly hour: number;
  readonly minute: number;
}

function usedAt(at: SecondOfDay): Used {
  const onDial = (at % SECONDS_PER_HALF_DAY) as SecondOfDay;
  return { onDial, hour: Math.floor(onDial / 3600), minute: minuteOfHour(at) };
}
