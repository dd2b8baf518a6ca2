import type { Rung } from '../ladder/rung.js';
import type { LessonSettings } from '../lesson/settings.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import type { Rng } from '../random/rng.js';
import { LEAST_CHANCES } from './model.js';
import { SECONDS_PER_HALF_DAY } from '../time/second-of-day.js';
import {
  believeAfter,
  entropy,
  gainOf,
  outcomesOf,
  stateSpace,
  type ItemOutcomes,
  type LikelyIdea,
  type StateSpace,
} from './information.js';

/** What a set of questions is wanted for. */
export interface SetWish {
  /** How many questions, 1 to 20. */
  readonly count: number;
  /** Ideas that the set is to tell apart: of the class, or usual for the lesson. At most ten are looked at. */
  readonly ideas: readonly LikelyIdea[];
  /** At most so many seconds of think time together; no limit when absent. */
  readonly seconds?: number;
  /** Questions that are in the set whatever they tell, and questions that must not be in it, by id. */
  readonly pins?: readonly string[];
  readonly bans?: readonly string[];
}

export interface DesignedSet {
  /** In the order in which they are best asked. */
  readonly items: readonly Item[];
  /** What the answers tell on average of the state of a pupil, in bits, of as many as there are to know. */
  readonly bits: number;
  readonly ofBits: number;
  /** For each idea how many of the questions have a wrong answer of its own. */
  readonly chances: readonly { readonly id: LikelyIdea['id']; readonly count: number }[];
  /** Pairs of ideas that give the same answers throughout. */
  readonly alike: readonly (readonly [LikelyIdea['id'], LikelyIdea['id']])[];
  readonly seconds: number;
}

export const MOST_IDEAS = 10;
/** Pupils that are imagined to find out what a set tells: their answers so far say how much a further question adds. */
const IMAGINED = 40;
/** A question that repeats a kind, an hour or a direction is worth less than it tells. */
const WORTH = { kindAgain: 0.77, hourAgain: 0.92, sameHalf: 0.96, tricky: 1.06, chance: 1.25 } as const;
/** With fewer chances nothing can be said of an idea: a question that gives one is worth more. */
const WANTED_CHANCES = LEAST_CHANCES;

interface Candidate {
  readonly model: ItemOutcomes;
  readonly seconds: number;
  readonly hours: readonly number[];
  readonly isTricky: boolean;
  /** What it told when it was last looked at; shared by all that show the same of the ideas. */
  readonly told: Told;
}

interface Told {
  /** In bits; never less than it tells later. */
  bits: number;
  round: number;
}

/** What a step of the work reports: how far it is, 0 to 1. Returns true where the work is to stop. */
export type OnProgress = (part: number) => boolean;

/**
 * Chooses questions one after the other, each time the one that tells most of the ideas given the answers that imagined pupils
 * gave so far: greedy by expected information, which for such a choice is never far from the best.
 * Source: Krause and Guestrin, near-optimal value of information in graphical models (2005), for the greedy choice; Minoux
 * (1978) for looking again only at the candidates that may still be best.
 * @param pool items to choose from
 * @returns null where the work was stopped
 */
export function designSet(
  pool: readonly Item[],
  wish: SetWish,
  rung: Rung,
  settings: LessonSettings,
  rng: Rng,
  thinkSeconds: (item: Item) => number,
  onProgress: OnProgress = () => false,
): DesignedSet | null {
  const space = stateSpace([...wish.ideas].sort((one, other) => other.weight - one.weight).slice(0, MOST_IDEAS));
  const banned = new Set(wish.bans ?? []);
  const candidates: Candidate[] = [];
  const known = new Map<string, Told>();
  const toldBy = (model: ItemOutcomes): Told => {
    let told = known.get(model.pattern);
    if (!told) known.set(model.pattern, (told = { bits: gainOf(model, space.prior), round: 0 }));
    return told;
  };
  for (const [index, item] of pool.entries()) {
    if (index % 100 === 0 && onProgress((0.8 * index) / pool.length)) return null;
    if (banned.has(item.id)) continue;
    const model = outcomesOf(item, space, settings);
    candidates.push({ model, seconds: thinkSeconds(item), hours: hoursOf(item), isTricky: isTricky(item, rung), told: toldBy(model) });
  }
  const pupils = imagine(space, rng);
  const chosen: Candidate[] = [];
  const left = { seconds: wish.seconds ?? Infinity };
  const take = (candidate: Candidate) => {
    chosen.push(candidate);
    candidates.splice(candidates.indexOf(candidate), 1);
    left.seconds -= candidate.seconds;
    for (const pupil of pupils) pupil.beliefs = believeAfter(pupil.beliefs, drawn(candidate.model, pupil.state, rng));
  };
  for (const id of wish.pins ?? []) {
    const pinned = candidates.find(({ model }) => model.item.id === id);
    if (pinned) take(pinned);
  }
  while (chosen.length < wish.count) {
    if (onProgress(0.8 + (0.2 * chosen.length) / wish.count)) return null;
    const best = bestOf(candidates, chosen, pupils, left.seconds);
    if (!best) break;
    take(best);
  }
  return describeSet(chosen, space, pupils);
}

interface Imagined {
  readonly state: number;
  beliefs: Float64Array;
}

/** Pupils as often in each state as is likely. */
function imagine({ prior }: StateSpace, rng: Rng): Imagined[] {
  return Array.from({ length: IMAGINED }, (_, index) => {
    // Evenly spread over the prior, so that few of them stand for all.
    let left = (index + rng()) / IMAGINED;
    let state = 0;
    while (state < prior.length - 1 && left > prior[state]!) left -= prior[state++]!;
    return { state, beliefs: prior };
  });
}

/** The likelihoods of one outcome of an item, drawn as a pupil in a state gives it. */
function drawn({ outcomes }: ItemOutcomes, state: number, rng: Rng): Float64Array {
  let left = rng();
  for (const likelihood of outcomes) {
    left -= likelihood[state]!;
    if (left <= 0) return likelihood;
  }
  return outcomes.at(-1)!;
}

/**
 * The candidate that is worth most now. Questions that show the same of the ideas tell the same: that is counted once, and anew
 * only while it may still be the best.
 */
function bestOf(
  candidates: readonly Candidate[],
  chosen: readonly Candidate[],
  pupils: readonly Imagined[],
  secondsLeft: number,
): Candidate | null {
  const round = chosen.length + 1;
  const given = chancesOf(chosen);
  const possible = candidates.flatMap((candidate) => {
    if (candidate.seconds > secondsLeft || candidate.told.bits * WORTH.tricky <= 0) return [];
    const balance = balanceOf(candidate, chosen) * WORTH.chance ** wantedBy(candidate, given);
    return [{ candidate, balance, most: candidate.told.bits * balance }];
  });
  let best: Candidate | null = null;
  let bestWorth = 0;
  for (const { candidate, balance, most } of possible.sort((one, other) => other.most - one.most)) {
    if (most < bestWorth) break;
    const { told } = candidate;
    if (told.round !== round) {
      told.bits = pupils.reduce((sum, { beliefs }) => sum + gainOf(candidate.model, beliefs), 0) / pupils.length;
      told.round = round;
    }
    const worth = told.bits * balance;
    if (worth > bestWorth && !isRepeated(candidate, chosen)) [best, bestWorth] = [candidate, worth];
  }
  return best;
}

/** How many chances each idea has in what is chosen. */
function chancesOf(chosen: readonly Candidate[]): readonly number[] {
  const [first] = chosen;
  return first ? first.model.predicted.map((_, idea) => chosen.filter(({ model }) => model.predicted[idea]!.length > 0).length) : [];
}

/** How many ideas a candidate gives a chance that have too few. */
const wantedBy = ({ model }: Candidate, given: readonly number[]): number =>
  model.predicted.filter((outcomes, idea) => outcomes.length > 0 && (given[idea] ?? 0) < WANTED_CHANCES).length;

/** The same answer is not asked for twice: neither the same time by the same kind, nor the very same question. */
function isRepeated({ model, hours }: Candidate, chosen: readonly Candidate[]): boolean {
  const { kind } = model.item;
  const times = timesKey(model.item);
  return chosen.some(
    (one) => one.model.item.kind === kind && (hours.length > 0 ? timesKey(one.model.item) === times : sameItem(one.model.item, model.item)),
  );
}

const timesKey = (item: Item) =>
  kindOf(item)
    .timesOf(item)
    .map((at) => at % SECONDS_PER_HALF_DAY)
    .join();

function sameItem({ id: _one, ...one }: Item, { id: _other, ...other }: Item): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** What a candidate is worth beside those chosen, as a part of what it tells: kinds, hours and halves of the dial in balance. */
function balanceOf({ model, hours, isTricky: tricky }: Candidate, chosen: readonly Candidate[]): number {
  const again = chosen.filter((one) => one.model.item.kind === model.item.kind).length;
  const sameHours = chosen.filter((one) => one.hours.some((hour) => hours.includes(hour))).length;
  const isRight = hours[0] !== undefined && hours[0] < 6;
  const inHalf = chosen.filter((one) => one.hours[0] !== undefined && one.hours[0] < 6 === isRight).length;
  const excess = Math.max(0, inHalf - (chosen.length - inHalf));
  return WORTH.kindAgain ** again * WORTH.hourAgain ** sameHours * WORTH.sameHalf ** excess * (tricky ? WORTH.tricky : 1);
}

const hoursOf = (item: Item): number[] =>
  kindOf(item)
    .timesOf(item)
    .map((at) => Math.floor((at % SECONDS_PER_HALF_DAY) / 3600));

function isTricky(item: Item, { tricky }: Rung): boolean {
  const times = kindOf(item)
    .timesOf(item)
    .map((at) => at % SECONDS_PER_HALF_DAY);
  return tricky.some(({ hour, minute }) => times.includes(((hour % 12) * 3600 + minute * 60) as (typeof times)[number]));
}

function describeSet(chosen: readonly Candidate[], space: StateSpace, pupils: readonly Imagined[]): DesignedSet {
  const before = entropy(space.prior);
  const after = pupils.reduce((sum, { beliefs }) => sum + entropy(beliefs), 0) / pupils.length;
  const predicted = (candidate: Candidate, idea: number) => candidate.model.predicted[idea]!;
  const chances = space.ideas.map((id, idea) => ({ id, count: chosen.filter((one) => predicted(one, idea).length > 0).length }));
  const alike = space.ideas.flatMap((one, a) =>
    space.ideas.slice(a + 1).flatMap((other, index) => {
      const b = a + 1 + index;
      const same = chosen.every((candidate) => predicted(candidate, a).join() === predicted(candidate, b).join());
      return same && chances[a]!.count > 0 ? [[one, other] as const] : [];
    }),
  );
  return {
    items: inOrder(chosen).map(({ model }) => model.item),
    bits: Math.max(0, before - after),
    ofBits: before,
    chances,
    alike,
    seconds: chosen.reduce((sum, { seconds }) => sum + seconds, 0),
  };
}

/** The quicker ones first, and no hour right after itself where that can be helped. */
function inOrder(chosen: readonly Candidate[]): Candidate[] {
  const left = [...chosen].sort((one, other) => one.seconds - other.seconds);
  const order: Candidate[] = [];
  while (left.length > 0) {
    const before = order.at(-1)?.hours ?? [];
    const next = left.findIndex(({ hours }) => !hours.some((hour) => before.includes(hour)));
    order.push(...left.splice(Math.max(0, next), 1));
  }
  return order;
}

/** What a set of questions tells on average, in bits: measured with pupils of its own. */
export function bitsOf(items: readonly Item[], likely: readonly LikelyIdea[], settings: LessonSettings, rng: Rng, pupils = 400): number {
  const space = stateSpace(likely);
  const models = items.map((item) => outcomesOf(item, space, settings));
  const before = entropy(space.prior);
  let bits = 0;
  for (let index = 0; index < pupils; index++) {
    let left = rng();
    let state = 0;
    while (state < space.prior.length - 1 && left > space.prior[state]!) left -= space.prior[state++]!;
    const after = models.reduce((beliefs, model) => believeAfter(beliefs, drawn(model, state, rng)), space.prior);
    bits += before - entropy(after);
  }
  return bits / pupils;
}
