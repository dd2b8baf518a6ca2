import { DEFAULT_SETTINGS, type LessonSettings } from '../lesson/settings.js';
import { MISCONCEPTION_IDS, type MisconceptionId } from '../misconceptions/registry.js';
import type { Verdict } from '../question-kinds/question-kind.js';
import type { Item, Response } from '../question-kinds/registry.js';
import { follow, type Belief } from './filter.js';
import { itemModel, pairsShown, type ItemModel, type Shown } from './item-model.js';
import { evidenceOf } from './likelihood.js';
import { LEAST_CHANCES, LOOKS_BACK_DAYS, THRESHOLDS } from './model.js';
import { MS_PER_DAY } from '../time/spans.js';

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
  /** When something was last asked that it could have shown in, in milliseconds since 1970. */
  readonly lastAskedMs: number;
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

/**
 * Which wrong ideas a pupil holds, over all of their answers, as it is at a moment: the probability of every set of at most two
 * ideas by Bayes' rule, followed through time; all that is assumed stands in {@link file://./model.ts}, how it is followed in
 * {@link file://./filter.ts}. Several ideas may explain one answer: then the blame is shared by how likely each is given the
 * rest. Ideas fade of which nothing is asked, and answers of before the last months are not looked at.
 * @param nowMs milliseconds since 1970, from which the age of answers is counted
 */
export function diagnose(given: readonly Answered[], nowMs: number): Diagnosis {
  const answered = given.filter(({ atMs }) => !isForgotten(atMs, nowMs)).sort((one, other) => one.atMs - other.atMs);
  const models = answered.map(({ item, settings }) => itemModel(item, settings));
  const possible = new Set(models.flatMap((model) => model.ideas));
  // Always in the same order: what is found does not depend on which answer came first.
  const ideas = MISCONCEPTION_IDS.filter((id) => possible.has(id));
  const shown = answered.map(({ response, verdict }, index) => models[index]!.shown(response, verdict));
  const observed = answered.map(({ atMs }, index) => ({ model: models[index]!, shown: shown[index]!, atMs }));
  const settings = answered.at(-1)?.settings ?? DEFAULT_SETTINGS;
  return summary(answered, models, shown, ideas, follow(observed, ideas, settings, nowMs));
}

/** Whether an answer is so old that it is not looked at any more. */
export const isForgotten = (atMs: number, nowMs: number): boolean => nowMs - atMs > LOOKS_BACK_DAYS * MS_PER_DAY;

/**
 * Works out what an answer shows before it is asked for: while others are still on their way, say. It changes nothing but when
 * the work is done.
 */
export function foresee({ item, settings, response, verdict }: Answered): void {
  const model = itemModel(item, settings);
  evidenceOf(model.shown(response, verdict), model);
}

function summary(
  answered: readonly Answered[],
  models: readonly ItemModel[],
  shown: readonly Shown[],
  ideas: readonly MisconceptionId[],
  { held, none, right }: Belief,
): Diagnosis {
  const probability = new Map(ideas.map((id, index) => [id, held[index]!]));
  const evidence = new Map<MisconceptionId, string[]>();
  const unlike = new Map<MisconceptionId, string[]>();
  const asked = new Map<MisconceptionId, number>();
  for (let index = answered.length - 1; index >= 0; index--) {
    const { ideas: possible } = models[index]!;
    const { id: answerId, atMs } = answered[index]!;
    const hits = hitsOf(shown[index]!, possible, probability);
    possible.forEach((id, place) => {
      const into = hits[place] ? evidence : unlike;
      const ids = into.get(id);
      if (ids) ids.push(answerId);
      else into.set(id, [answerId]);
      if (!asked.has(id)) asked.set(id, atMs);
    });
  }
  const found = ideas.map((id): IdeaFinding => {
    const [shows, others] = [evidence.get(id) ?? [], unlike.get(id) ?? []];
    const counted = { probability: probability.get(id)!, chances: shows.length + others.length, hits: shows.length };
    return { id, ...counted, evidence: shows, unlike: others, lastAskedMs: asked.get(id)!, sureness: surenessOf(counted) };
  });
  return { ideas: found.sort((one, other) => other.probability - one.probability), none, skill: right, answers: answered.length };
}

/** Which ideas an answer shows: alone, or as both of two ideas that are likely to be held. */
function hitsOf(shown: Shown, ideas: readonly MisconceptionId[], held: ReadonlyMap<MisconceptionId, number>): boolean[] {
  const { byIdea } = shown;
  const hits = byIdea.map((hit) => hit > 0);
  const isLikely = (place: number) => held.get(ideas[place]!)! >= THRESHOLDS.likely.probability;
  for (const [one, other] of pairsShown(shown)) {
    // Where one alone leads to the answer, nothing of the other is seen.
    if (byIdea[one] === 0 && byIdea[other] === 0 && isLikely(one) && isLikely(other)) hits[one] = hits[other] = true;
  }
  return hits;
}

function surenessOf({ probability, chances, hits }: Pick<IdeaFinding, 'probability' | 'chances' | 'hits'>): Sureness {
  const { settled, likely, soon } = THRESHOLDS;
  const reaches = (least: typeof settled | typeof likely | typeof soon) => probability >= least.probability && hits >= least.hits;
  if (chances < LEAST_CHANCES) return 'too-few';
  if (reaches(settled)) return 'settled';
  if (reaches(likely) || reaches(soon)) return 'likely';
  return hits > 0 ? 'one-off' : 'not-seen';
}
