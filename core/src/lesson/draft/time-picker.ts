import type { Rung } from '../../ladder/rung.js';
import { oneOf } from '../../question-kinds/slips.js';
import type { Rng } from '../../rehearsal/rng.js';
import { minuteOfHour, SECONDS_PER_HALF_DAY, secondOfDay, type SecondOfDay } from '../../time/second-of-day.js';

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
  private readonly used: SecondOfDay[] = [];

  constructor(
    private readonly rung: Rung,
    private readonly rng: Rng,
  ) {}

  /** A time that was chosen already, the tricky ones for one. */
  use(at: SecondOfDay): SecondOfDay {
    this.used.push(at);
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

  /** How little a time would add: it was asked before, or lately the same hour, the same minutes or the same half of the dial. */
  private cost(at: SecondOfDay): number {
    const onDial = at % SECONDS_PER_HALF_DAY;
    const hourOf = (time: SecondOfDay) => Math.floor((time % SECONDS_PER_HALF_DAY) / 3600);
    return this.used.reduce((sum, before, index) => {
      const recent = 1 / (this.used.length - index);
      const isSame = before % SECONDS_PER_HALF_DAY === onDial;
      const isSameHour = hourOf(before) === hourOf(at);
      // Where little is new, the same minutes are what the lesson is about.
      const isSameMinute = this.rung.newMinutes.length > 2 && minuteOfHour(before) === minuteOfHour(at);
      const isSameSide = hourOf(before) < 6 === hourOf(at) < 6;
      return (
        sum +
        (isSame ? 4 + 20 * recent : 0) +
        (isSameHour ? 3 * recent + 0.4 : 0) +
        (isSameMinute ? recent : 0) +
        (isSameSide ? 0.3 * recent : 0)
      );
    }, 0);
  }
}
