import { isAboutGoal } from '../ladder/goal.js';
import { RUNGS, type RungId } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { isOnRung } from '../ladder/rung-times.js';
import type { ActId } from '../acts/acts.js';
import { changesAnyOf } from '../misconceptions/distorted-acts.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { kindOf, QUESTION_KINDS, type Item, type QuestionKindId } from '../question-kinds/registry.js';
import type { Rng } from '../random/rng.js';
import { SECONDS_PER_HALF_DAY, type SecondOfDay } from '../time/second-of-day.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { Chances } from './chances.js';

/** So many answers are needed before anything can be said of an idea. */
const WANTED_CHANCES = 3;
/** Questions that are looked at for each that is asked. */
const LOOKED_AT = 5;
const MOST_DRAWS = 20;
/** Questions that are drawn to find one for the idea that needs a chance most. */
const DRAWN_FOR_ONE = 36;
/** What speaks for a question: each chance for an idea that has too few, the goal of the rung; and against it: its kind again. */
const WORTH = { chance: 1.6, first: 1.8, goal: 1.2, ahead: 4, again: 0.6, askedBefore: 2.5, shownBefore: 1.5 } as const;
/** What was shown or asked so lately is not asked or shown again. */
const LATELY = 3;
/** Of the questions of a lesson, so many are about its goal at least. */
const GOAL_PART = 0.6;

export const onDial = (at: number): number => at % SECONDS_PER_HALF_DAY;
export const hourOnDial = (at: number): number => Math.floor(onDial(at) / 3600);

/**
 * Chooses the questions of a lesson: those that give the usual ideas of the rung their chances and ask what the lesson teaches,
 * about another hour than the one before, never about what was just shown or is to be taught as new.
 */
export class QuestionPicker {
  private readonly rung: Rung;
  private readonly asked: Item[] = [];
  private readonly chances = new Map<MisconceptionId, number>();
  /** Times that examples have shown, the latest last, with how much was asked before, and those that one will show. */
  private readonly shown: { readonly at: number; readonly asked: number }[] = [];
  private readonly reserved: Set<number>;
  /** How often no question was found for an idea. */
  private readonly notFound = new Map<MisconceptionId, number>();
  /** Of the question before, 0 to 11: the next one has another. */
  private lastHour = -1;
  /** Of what was shown since then. */
  private shownHour = -1;

  /**
   * @param ideas that are to have their chances, the most wanted first
   * @param showing which ideas a question shows
   */
  constructor(
    private readonly rungId: RungId,
    private readonly ideas: readonly MisconceptionId[],
    private readonly settings: LessonSettings,
    private readonly rng: Rng,
    private readonly showing: Chances,
  ) {
    this.rung = RUNGS[rungId];
    this.reserved = new Set(this.rung.tricky.map(({ hour, minute }) => (hour % 12) * 3600 + minute * 60));
  }

  /** Told of every question that is asked. */
  ask(item: Item): void {
    // A question about no time of day leaves the hour to the one before it.
    this.lastHour = kindOf(item).timesOf(item).map(hourOnDial)[0] ?? this.lastHour;
    this.shownHour = -1;
    this.asked.push(item);
    for (const id of this.showing.of(item, this.ideas)) this.chances.set(id, (this.chances.get(id) ?? 0) + 1);
  }

  /** Told of every time that is shown with what it is. */
  show(at: SecondOfDay): void {
    this.shownHour = hourOnDial(at);
    this.shown.push({ at: onDial(at), asked: this.asked.length });
    this.reserved.delete(onDial(at));
  }

  /** Whether a time was asked already; or only lately: then it is no new example. */
  wasAsked(at: SecondOfDay, lately = this.asked.length): boolean {
    return this.asked.slice(-lately).some((item) => kindOf(item).timesOf(item).some((time) => onDial(time) === onDial(at))); // prettier-ignore
  }

  wasAskedLately(at: SecondOfDay): boolean {
    return this.asked.length > 0 && this.wasAsked(at, LATELY);
  }

  wasShown(at: SecondOfDay): boolean {
    return this.shown.some((one) => one.at === onDial(at));
  }

  /** Whether a time can be asked now: of another hour than the one before, not just shown and not to be taught as new. */
  isFree(at: SecondOfDay): boolean {
    return this.isOfAnotherHour(at) && !this.shown.slice(-LATELY).some((one) => one.at === onDial(at));
  }

  /** The same for a time that belongs to the class: it may come again when some questions have been asked since. */
  isFreeAgain(at: SecondOfDay): boolean {
    return this.isOfAnotherHour(at) && !this.shown.some((one) => one.at === onDial(at) && this.asked.length - one.asked <= LATELY);
  }

  private isOfAnotherHour(at: SecondOfDay): boolean {
    return ![this.lastHour, this.shownHour].includes(hourOnDial(at)) && !this.reserved.has(onDial(at));
  }

  /** Of some times the one at which a question gives most of the ideas the chance that they need. */
  mostNeeded(times: readonly SecondOfDay[], asked: (at: SecondOfDay) => Item): SecondOfDay {
    const worth = times.map((at) => this.neededBy(asked(at)));
    return times[worth.indexOf(Math.max(...worth))]!;
  }

  private neededBy(item: Item): number {
    return this.showing.of(item, this.ideas).reduce((sum, id) => sum + this.needOf(id), 0);
  }

  /** The next question of some kinds; null where none of them has anything to ask. */
  next(kinds: readonly QuestionKindId[], only: (item: Item) => boolean = () => true): Item | null {
    const wanted = this.forTheNeediest(kinds, only);
    let best = wanted && { item: wanted, worth: this.worthOf(wanted) };
    let looked = 0;
    for (let draw = 0; draw < MOST_DRAWS && looked < LOOKED_AT; draw++) {
      const kind = kinds[(draw + this.asked.length) % kinds.length]!;
      const item = QUESTION_KINDS[kind].make('', this.rng, this.rung, this.settings) as Item;
      if (!this.fits(item) || !only(item)) continue;
      looked++;
      const worth = this.worthOf(item);
      if (!best || worth > best.worth) best = { item, worth };
    }
    return best?.item ?? null;
  }

  /** A question for an idea that had too few chances, about the goal where too few of the others were. */
  owed(kinds: readonly QuestionKindId[]): Item | null {
    return this.forTheNeediest(kinds, (item) => !this.isBehind() || isAboutGoal(this.rungId, item));
  }

  /** Whether too few questions were about the goal. */
  isBehind(): boolean {
    return this.asked.filter((one) => isAboutGoal(this.rungId, one)).length < GOAL_PART * (this.asked.length + 1);
  }

  /** A question for the idea that had the fewest chances, where it has too few; chance alone finds rare ones too seldom. */
  private forTheNeediest(kinds: readonly QuestionKindId[], only: (item: Item) => boolean): Item | null {
    // One that could not be asked before must not stand in the way of the others.
    const needs = this.ideas.map((id) => ({ id, need: this.needOf(id) - (this.notFound.get(id) ?? 0) }));
    const { id, need } = needs.reduce((most, one) => (one.need > most.need ? one : most));
    if (need <= 0) return null;
    const found = this.findFor(id, kinds, only);
    if (!found) this.notFound.set(id, (this.notFound.get(id) ?? 0) + 1);
    return found;
  }

  /** A question about the goal of another rung that can be asked on this one: what was learnt before. Null where none came. */
  recalled(id: RungId): Item | null {
    const rung: Rung = RUNGS[id];
    const kinds = rung.goalKinds ?? rung.kinds;
    for (let draw = 0; draw < MOST_DRAWS; draw++) {
      const item = QUESTION_KINDS[kinds[draw % kinds.length]!].make('', this.rng, rung, this.settings) as Item;
      if (isAboutGoal(id, item) && this.fits(item)) return item;
    }
    return null;
  }

  /** A question in which an idea would show; null where none came. */
  findFor(
    id: MisconceptionId,
    kinds: readonly QuestionKindId[],
    only: (item: Item) => boolean = () => true,
    draws = DRAWN_FOR_ONE,
  ): Item | null {
    const able = kinds.filter((kind) => mayShow(id, kind, this.settings));
    if (able.length === 0) return null;
    const first = Math.floor(this.rng() * able.length);
    for (let draw = 0; draw < draws; draw++) {
      const kind = able[(first + draw) % able.length]!;
      const item = QUESTION_KINDS[kind].make('', this.rng, this.rung, this.settings) as Item;
      if (this.fits(item) && only(item) && this.showing.of(item, [id]).length > 0) return item;
    }
    return null;
  }

  private fits(item: Item): boolean {
    const times = kindOf(item).timesOf(item);
    return isOnRung(this.rung, times) && times.every((at) => this.isFree(at));
  }

  private worthOf(item: Item): number {
    const need = this.neededBy(item);
    const goal = isAboutGoal(this.rungId, item) ? (this.isBehind() ? WORTH.ahead : WORTH.goal) : 0;
    const again = this.asked.filter(({ kind }) => kind === item.kind).length;
    const { id: _id, ...plain } = item;
    const times = new Set(kindOf(item).timesOf(item).map(onDial)); // prettier-ignore
    const isBefore = this.asked.some(
      ({ id: _other, ...one }) =>
      times.size > 0 ? kindOf(one as Item).timesOf(one as Item).some((at) => times.has(onDial(at))) : JSON.stringify(one) === JSON.stringify(plain), // prettier-ignore
    );
    const isShown = this.shown.some(({ at }) => times.has(at));
    return WORTH.chance * need + goal - WORTH.again * again - (isBefore ? WORTH.askedBefore : 0) - (isShown ? WORTH.shownBefore : 0);
  }

  /** How much a further chance for an idea is wanted; most where it had none. */
  private needOf(id: MisconceptionId): number {
    const had = this.chances.get(id) ?? 0;
    return had === 0 ? WANTED_CHANCES * WORTH.first : Math.max(0, WANTED_CHANCES - had);
  }
}

/** Whether an idea changes anything that a kind of question may take. */
function mayShow(id: MisconceptionId, kind: QuestionKindId, settings: LessonSettings): boolean {
  const { samples, doing }: { readonly samples: readonly Item[]; doing(item: never): readonly ActId[] } = QUESTION_KINDS[kind];
  return samples.some((sample) => changesAnyOf(id, doing(sample as never), settings));
}
