import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import type { Verdict } from '../question-kinds/question-kind.js';
import type { Item, Response } from '../question-kinds/registry.js';
import { itemModel, type ItemModel, type Shown } from './item-model.js';
import {
  BOTH_AT_ONCE,
  CARELESSNESS,
  FIRMNESS,
  FORGOTTEN,
  HALF_LIFE_DAYS,
  HELD_PRIOR,
  LEAST_CHANCES,
  SAYS_NOT_SURE,
  SKILLS,
  THRESHOLDS,
} from './model.js';

/** A response to an item, with when it was given. */
export interface Answered {
  /** Names the answer for whoever looks at the evidence. */
  readonly id: string;
  readonly item: Item;
  readonly response: Response;
  /** Of the lesson in which it was asked. */
  readonly settings: LessonSettings;
  /** Milliseconds since 1970. */
  readonly atMs: number;
  /** As it is marked, where somebody may have corrected that; judged anew when absent. */
  readonly verdict?: Verdict;
}

/**
 * How sure an idea is: *settled* and *likely* by the thresholds of the model, *one-off* where answers show it that are better
 * explained otherwise, *not seen* where none does, and *too few* where there was hardly a chance to see it.
 */
export type Sureness = 'settled' | 'likely' | 'one-off' | 'not-seen' | 'too-few';

/** What is known of one idea of one pupil. A hint with its evidence, never a grade. */
export interface IdeaFinding {
  readonly id: MisconceptionId;
  /** That the pupil holds it, 0 to 1. */
  readonly probability: number;
  /** Answers to items on which it predicts a wrong answer of its own. */
  readonly chances: number;
  /** Answers that are such a predicted one. */
  readonly hits: number;
  /** Ids of those answers, the newest first. */
  readonly evidence: readonly string[];
  /** Ids of the other chances: the idea did not show there; the newest first. */
  readonly unlike: readonly string[];
  readonly sureness: Sureness;
}

export interface Diagnosis {
  /** Ideas that had a chance, the most probable first. */
  readonly ideas: readonly IdeaFinding[];
  /** Chance to know an answer where no idea is in the way, 0 to 1: the mean over what is possible. */
  readonly skill: number;
  /** That the pupil holds no idea at all, 0 to 1. */
  readonly none: number;
  /** How many answers were looked at. */
  readonly answers: number;
}

const MS_PER_DAY = 86_400_000;

/** Every mix of skill and carelessness, with the chance of a right answer where no idea is in the way, and its prior. */
const GRID = SKILLS.flatMap((skill) =>
  CARELESSNESS.map((careless) => ({ skill, right: skill * (1 - careless), prior: 1 / (SKILLS.length * CARELESSNESS.length) })),
);
const CELLS = GRID.length;

/** Likelihoods of one answer without any idea, for each mix. */
function baseOf({ is }: Shown, ways: number): Float64Array {
  return Float64Array.from(GRID, ({ skill, right }) => {
    if (is === 'right') return right;
    const saysSo = (1 - skill) * SAYS_NOT_SURE;
    return is === 'not-sure' ? saysSo + 0.01 : Math.max(1e-6, (1 - right - saysSo) / ways);
  });
}

/**
 * Which wrong ideas a pupil holds, over all of their answers: the probability of every set of at most two ideas, of which one
 * is the stronger, with every mix of skill and carelessness, by Bayes' rule; the prior and all else that is assumed stands in {@link file://./model.ts}.
 * Several ideas may explain one answer: then the blame is shared by how likely each is given the rest. Older answers count
 * less, and at last not at all. The states number a few thousand and are all gone through.
 * @param nowMs milliseconds since 1970, from which the age of answers is counted
 */
export function diagnose(given: readonly Answered[], nowMs: number): Diagnosis {
  const answered = given.filter(({ atMs }) => !isForgotten(atMs, nowMs));
  const models = answered.map(({ item, settings }) => itemModel(item, settings));
  const ideas = [...new Set(models.flatMap((model) => model.ideas))];
  const place = new Map(ideas.map((id, index) => [id, index]));
  const count = ideas.length;
  const base = new Float64Array(CELLS);
  // What an idea adds to the logarithm of the likelihood, and what two add beyond each of them.
  const singles = new Float64Array(count * CELLS);
  const pairs = new Float64Array(count * count * CELLS);
  answered.forEach(({ response, atMs, verdict }, index) => {
    addAnswer(models[index]!, models[index]!.shown(response, verdict), weightOf(atMs, nowMs), { base, singles, pairs, place, count });
  });
  return summary(answered, models, ideas, weigh({ base, singles, pairs, count }));
}

const weightOf = (atMs: number, nowMs: number) => 0.5 ** (Math.max(0, nowMs - atMs) / (HALF_LIFE_DAYS * MS_PER_DAY));

/** Whether an answer is so old that it is not looked at any more. */
export const isForgotten = (atMs: number, nowMs: number): boolean => weightOf(atMs, nowMs) < FORGOTTEN;

/**
 * Works out what an answer shows before it is asked for: while others are still on their way, say. It changes nothing but when
 * the work is done.
 */
export function foresee({ item, settings, response, verdict }: Answered): void {
  const model = itemModel(item, settings);
  evidenceOf(model.shown(response, verdict), model);
}

interface Sums {
  readonly base: Float64Array;
  readonly singles: Float64Array;
  readonly pairs: Float64Array;
  readonly count: number;
}

/** What one answer adds to the sums, before its age is weighed. */
interface Evidence {
  /** Logarithms of the likelihoods without any idea. */
  readonly plain: Float64Array;
  /** For each idea of the item, what it adds to them. */
  readonly singles: readonly Float64Array[];
  /** For each two ideas of the item, the stronger first, what they add beyond what each adds; null where both are the same. */
  readonly pairs: readonly (readonly (Float64Array | null)[])[];
}

/** A class gives the same answers to an item: what they show is the same object, and is looked at once. */
const known = new WeakMap<Shown, Evidence>();

function evidenceOf(shown: Shown, { ideas, ways }: ItemModel): Evidence {
  const before = known.get(shown);
  if (before) return before;
  const likelihoods = baseOf(shown, ways);
  const plain = likelihoods.map(Math.log);
  const own = shown.byIdea.map((hit) => likelihoods.map((likelihood) => Math.log(FIRMNESS * hit + (1 - FIRMNESS) * likelihood)));
  const together = (one: number, other: number) => {
    const [first, second] = [Math.min(one, other), Math.max(one, other)];
    // Pairs stand one row after the other, each shorter by one.
    return shown.byPair[first * ideas.length - (first * (first + 1)) / 2 + second - first - 1] ?? 0;
  };
  /** Two ideas of which the first is the stronger: where both come to mind, it has its way. */
  const pairOf = (first: number, second: number): Float64Array | null => {
    if (first === second) return null;
    const [hitFirst, hitSecond] = [shown.byIdea[first]!, shown.byIdea[second]!];
    const both = FIRMNESS * FIRMNESS * (BOTH_AT_ONCE * together(first, second) + (1 - BOTH_AT_ONCE) * hitFirst);
    const either = FIRMNESS * (1 - FIRMNESS) * (hitFirst + hitSecond);
    return likelihoods.map(
      (likelihood, cell) =>
        Math.log(both + either + (1 - FIRMNESS) ** 2 * likelihood) - own[first]![cell]! - own[second]![cell]! + plain[cell]!,
    );
  };
  const evidence: Evidence = {
    plain,
    singles: own.map((logs) => logs.map((log, cell) => log - plain[cell]!)),
    pairs: own.map((_, first) => own.map((_other, second) => pairOf(first, second))),
  };
  known.set(shown, evidence);
  return evidence;
}

function addAnswer(
  model: ItemModel,
  shown: Shown,
  weight: number,
  { base, singles, pairs, place, count }: Sums & { readonly place: ReadonlyMap<MisconceptionId, number> },
): void {
  const evidence = evidenceOf(shown, model);
  const at = model.ideas.map((id) => place.get(id)!);
  for (let cell = 0; cell < CELLS; cell++) base[cell]! += weight * evidence.plain[cell]!;
  at.forEach((idea, index) => {
    const adds = evidence.singles[index]!;
    for (let cell = 0; cell < CELLS; cell++) singles[idea * CELLS + cell]! += weight * adds[cell]!;
    at.forEach((other, second) => {
      const beyond = evidence.pairs[index]![second];
      if (!beyond) return;
      const from = (idea * count + other) * CELLS;
      for (let cell = 0; cell < CELLS; cell++) pairs[from + cell]! += weight * beyond[cell]!;
    });
  });
}

/** Probabilities of each idea, of none, and of each mix of skill and carelessness. */
function weigh({ base, singles, pairs, count }: Sums) {
  const pairCount = count * (count - 1);
  const logPrior = [
    Math.log(HELD_PRIOR[0]),
    Math.log(HELD_PRIOR[1] / Math.max(1, count)),
    Math.log(HELD_PRIOR[2] / Math.max(1, pairCount)),
  ] as const;
  const states = 1 + count + pairCount;
  const logs = new Float64Array(states * CELLS);
  let highest = -Infinity;
  const put = (state: number, cell: number, log: number) => {
    logs[state * CELLS + cell] = log;
    if (log > highest) highest = log;
  };
  for (let cell = 0; cell < CELLS; cell++) {
    const start = base[cell]! + Math.log(GRID[cell]!.prior);
    put(0, cell, start + logPrior[0]);
    let state = 1;
    for (let one = 0; one < count; one++) put(state++, cell, start + logPrior[1] + singles[one * CELLS + cell]!);
    for (let one = 0; one < count; one++) {
      for (let other = 0; other < count; other++) {
        if (one === other) continue;
        const beyond = pairs[(one * count + other) * CELLS + cell]!;
        put(state++, cell, start + logPrior[2] + singles[one * CELLS + cell]! + singles[other * CELLS + cell]! + beyond);
      }
    }
  }
  const held = new Float64Array(count);
  let [total, none, skill] = [0, 0, 0];
  for (let cell = 0; cell < CELLS; cell++) {
    let state = 0;
    const take = () => {
      const weight = Math.exp(logs[state++ * CELLS + cell]! - highest);
      total += weight;
      skill += weight * GRID[cell]!.skill;
      return weight;
    };
    none += take();
    for (let one = 0; one < count; one++) held[one]! += take();
    for (let one = 0; one < count; one++) {
      for (let other = 0; other < count; other++) {
        if (one === other) continue;
        const weight = take();
        held[one]! += weight;
        held[other]! += weight;
      }
    }
  }
  return { held: held.map((weight) => weight / total), none: none / total, skill: skill / total };
}

function summary(
  answered: readonly Answered[],
  models: readonly ItemModel[],
  ideas: readonly MisconceptionId[],
  { held, none, skill }: ReturnType<typeof weigh>,
): Diagnosis {
  const evidence = new Map<MisconceptionId, string[]>();
  const unlike = new Map<MisconceptionId, string[]>();
  const newestFirst = answered.map((_, index) => index).sort((one, other) => answered[other]!.atMs - answered[one]!.atMs || other - one);
  for (const index of newestFirst) {
    const { ideas: possible, shown } = models[index]!;
    const { id: answerId, response, verdict } = answered[index]!;
    const { byIdea } = shown(response, verdict);
    possible.forEach((id, place) => {
      const into = byIdea[place]! > 0 ? evidence : unlike;
      const ids = into.get(id);
      if (ids) ids.push(answerId);
      else into.set(id, [answerId]);
    });
  }
  const found = ideas.map((id, index): IdeaFinding => {
    const [shows, others] = [evidence.get(id) ?? [], unlike.get(id) ?? []];
    const counted = { probability: held[index]!, chances: shows.length + others.length, hits: shows.length };
    return { id, ...counted, evidence: shows, unlike: others, sureness: surenessOf(counted) };
  });
  return { ideas: found.sort((one, other) => other.probability - one.probability), none, skill, answers: answered.length };
}

function surenessOf({ probability, chances, hits }: Pick<IdeaFinding, 'probability' | 'chances' | 'hits'>): Sureness {
  const { settled, likely } = THRESHOLDS;
  if (chances < LEAST_CHANCES) return hits > 0 && chances > 1 && probability >= settled.probability ? 'likely' : 'too-few';
  if (probability >= settled.probability && hits >= settled.hits) return 'settled';
  if (probability >= likely.probability && hits >= likely.hits) return 'likely';
  return hits > 0 ? 'one-off' : 'not-seen';
}
