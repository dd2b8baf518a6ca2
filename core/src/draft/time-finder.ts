import type { Rung } from '../ladder/rung.js';
import { isOnRung } from '../ladder/rung-times.js';
import { oneOf } from '../question-kinds/slips.js';
import type { Item } from '../question-kinds/registry.js';
import type { Rng } from '../random/rng.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import type { QuestionPicker } from './question-picker.js';
import { SITUATIONS } from './situations.js';
import { TimePicker, type Wanted } from './time-picker.js';

/** Times that are drawn before something less good is taken. */
const MOST_DRAWS = 16;
/** Of the times of the day that are spoken of, so many are about what is new. */
const NEW_IN_USE = 0.8;

/** Finds the times of a lesson: those that can be shown or asked where the lesson stands, and of those what is needed most. */
export class TimeFinder {
  private readonly times: TimePicker;

  constructor(
    private readonly rung: Rung,
    private readonly picker: QuestionPicker,
    private readonly rng: Rng,
  ) {
    this.times = new TimePicker(rung, rng);
  }

  /** A time that was chosen already. */
  use(at: SecondOfDay): SecondOfDay {
    return this.times.use(at);
  }

  next(wanted: Wanted = {}): SecondOfDay {
    return this.times.next(wanted);
  }

  /** A new time of the rung that nobody was asked for yet. */
  forExample(): SecondOfDay {
    const { exampleHours } = this.rung;
    const draws = this.draws(MOST_DRAWS, { isNew: true, ...(exampleHours && { hours: exampleHours }) });
    const { picker } = this;
    const isNew = (at: SecondOfDay) => !picker.wasAsked(at) && !picker.wasShown(at);
    return this.use(draws.find((at) => isNew(at) && picker.isFree(at)) ?? draws.find(isNew) ?? draws.find((at) => !picker.wasAskedLately(at)) ?? draws[0]!); // prettier-ignore
  }

  /** The next time that is asked for: free, not asked before where that can be, and of those what the usual ideas need most. */
  forQuestion(asked: (at: SecondOfDay) => Item, wanted: Wanted = { isNew: true }): SecondOfDay {
    const { picker } = this;
    const draws = this.draws(MOST_DRAWS, wanted);
    const free = [...draws, ...this.times.all(wanted)].filter((at) => picker.isFree(at));
    const isNew = (at: SecondOfDay) => !picker.wasAsked(at) && !picker.wasShown(at);
    const best = [free.filter(isNew), free.filter((at) => !picker.wasAskedLately(at)), free].find((list) => list.length > 0);
    return this.use(best ? picker.mostNeeded(best.slice(0, MOST_DRAWS), asked) : draws[0]!);
  }

  /** A time at which something happens on the islands: drawn until one is free. */
  ofTheDay(asked: (at: SecondOfDay) => Item): SecondOfDay {
    const from = this.rung.exampleHours?.[0] ?? 0;
    const isNew = !this.rung.goalKinds && (this.picker.isBehind() || this.rng() < NEW_IN_USE);
    const [first, ...others] = SITUATIONS.filter(({ hours }) => hours[0] >= from);
    for (let draw = 0; draw < MOST_DRAWS; draw++) {
      const at = this.forQuestion(asked, { hours: oneOf([first!, ...others], this.rng).hours, ...(isNew && { isNew: true as const }) });
      if (this.picker.isFree(at)) return at;
    }
    return this.forQuestion(asked);
  }

  /** A time that is new on another rung and can be asked on this one. */
  newOn(rung: Rung): SecondOfDay {
    const other = new TimePicker(rung, this.rng);
    const fits = Array.from({ length: MOST_DRAWS }, () => other.next({ isNew: true })).filter((at) => isOnRung(this.rung, [at]));
    return this.use(fits.find((at) => this.picker.isFree(at)) ?? fits[0] ?? this.times.peek());
  }

  /** Times at which something misleads: one to show, and another one to ask afterwards, where there is one. */
  misleading(misleads: (at: SecondOfDay) => boolean): { readonly shown: SecondOfDay; again(): SecondOfDay | undefined } | null {
    const { picker } = this;
    const draws = this.draws(2 * MOST_DRAWS, { isNew: true }).filter(misleads);
    const free = draws.filter((at) => picker.isFree(at));
    const shown = free.find((at) => !picker.wasAsked(at)) ?? free[0];
    return shown === undefined ? null : { shown, again: () => draws.find((at) => picker.isFree(at)) };
  }

  private draws(count: number, wanted: Wanted): readonly SecondOfDay[] {
    return Array.from({ length: count }, () => this.times.peek(wanted));
  }
}
