import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { predictionsBy } from '../question-kinds/predictions.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import { FIRMNESSES, HELD_PRIOR } from './model.js';
import { waysToBeWrong } from './scatter.js';

/** An idea that pupils may hold, with how likely that is beside the others: any positive weight. */
export interface LikelyIdea {
  readonly id: MisconceptionId;
  readonly weight: number;
}

/** A state is a set of at most two of the likely ideas; -1 stands for no second or no first one. */
export interface StateSpace {
  readonly ideas: readonly MisconceptionId[];
  readonly states: readonly (readonly [number, number])[];
  /** For each state at each level of skill, state-major. */
  readonly prior: Float64Array;
}

/** How often an idea is followed, on average. */
const FIRMNESS = FIRMNESSES.reduce((sum, one) => sum + one, 0) / FIRMNESSES.length;

/**
 * Chances of a right answer where no idea is in the way, for pupils of little, middling and much skill: how skilled a pupil is
 * is not known either, and scattered mistakes hide ideas.
 */
const RIGHT = [0.5, 0.75, 0.94] as const;
export const SKILL_LEVELS = RIGHT.length;

/** Every set of at most two of some ideas, with its prior. */
export function stateSpace(likely: readonly LikelyIdea[]): StateSpace {
  const ideas = likely.map(({ id }) => id);
  const total = likely.reduce((sum, { weight }) => sum + weight, 0) || 1;
  const share = likely.map(({ weight }) => weight / total);
  const states: (readonly [number, number])[] = [[-1, -1]];
  const prior = [HELD_PRIOR[0] as number];
  share.forEach((one, index) => {
    states.push([index, -1]);
    prior.push(HELD_PRIOR[1] * one);
  });
  let pairs = 0;
  const from = states.length;
  for (let one = 0; one < ideas.length; one++) {
    for (let other = one + 1; other < ideas.length; other++) {
      states.push([one, other]);
      prior.push(share[one]! * share[other]!);
      pairs += share[one]! * share[other]!;
    }
  }
  for (let index = from; index < prior.length; index++) prior[index] = (prior[index]! / (pairs || 1)) * HELD_PRIOR[2];
  const sum = prior.reduce((a, b) => a + b, 0);
  return { ideas, states, prior: Float64Array.from(prior.flatMap((one) => RIGHT.map(() => one / sum / SKILL_LEVELS))) };
}

/**
 * What an item can show of some ideas: for each outcome (the right answer, each wrong one that an idea predicts, any other)
 * how likely it is in each state at each level of skill: `outcomes[o][state · levels + level]`.
 */
export interface ItemOutcomes {
  readonly item: Item;
  readonly outcomes: readonly Float64Array[];
  /** For each idea the outcomes that it predicts; none where it makes no difference. */
  readonly predicted: readonly (readonly number[])[];
  /** The same for items that tell the same of the ideas. */
  readonly pattern: string;
}

export function outcomesOf(item: Item, { ideas, states }: StateSpace, settings: LessonSettings): ItemOutcomes {
  const kind = kindOf(item);
  const predictions = predictionsBy(ideas, item, settings);
  // Answers that cannot be told apart are one outcome.
  const answers: Parameters<typeof kind.isSame>[1][] = [];
  const predicted = ideas.map((id) =>
    (predictions.get(id) ?? []).map((answer) => {
      const found = answers.findIndex((one) => kind.isSame(item, one, answer, settings));
      return found >= 0 ? found + 1 : answers.push(answer);
    }),
  );
  const count = answers.length + 2;
  const ways = waysToBeWrong(item, settings);
  const outcomes = Array.from({ length: count }, () => new Float64Array(states.length * SKILL_LEVELS));
  states.forEach(([one, other], state) => {
    const held = [one, other].filter((idea) => idea >= 0 && predicted[idea]!.length > 0);
    const follows = held.length === 0 ? 0 : held.length === 1 ? FIRMNESS : 1 - (1 - FIRMNESS) ** 2;
    const plain = 1 - follows;
    RIGHT.forEach((right, level) => {
      const cell = state * SKILL_LEVELS + level;
      const scatter = (1 - right) / ways;
      outcomes[0]![cell] = plain * right;
      for (let answer = 1; answer <= answers.length; answer++) outcomes[answer]![cell] = plain * scatter;
      outcomes[count - 1]![cell] = plain * Math.max(0, 1 - right - answers.length * scatter);
      for (const idea of held) {
        const each = follows / held.length / predicted[idea]!.length;
        for (const answer of predicted[idea]!) outcomes[answer]![cell]! += each;
      }
    });
  });
  return { item, outcomes, predicted, pattern: `${ways} ${count} ${JSON.stringify(predicted)}` };
}

/** The belief in a state, whatever the skill. */
function beliefIn(beliefs: Float64Array, state: number): number {
  let sum = 0;
  for (let level = 0; level < SKILL_LEVELS; level++) sum += beliefs[state * SKILL_LEVELS + level]!;
  return sum;
}

/** Uncertainty about the ideas, in bits; how skilled the pupil is does not count. */
export function entropy(beliefs: Float64Array): number {
  let bits = 0;
  for (let state = 0; state < beliefs.length / SKILL_LEVELS; state++) {
    const one = beliefIn(beliefs, state);
    if (one > 0) bits -= one * Math.log2(one);
  }
  return bits;
}

/** How many bits an answer to an item tells on average about the ideas, for somebody of whom so much is believed. */
export function gainOf({ outcomes }: ItemOutcomes, beliefs: Float64Array): number {
  // Information between state and outcome: how much likelier an outcome is in a state than it is altogether.
  const states = beliefs.length / SKILL_LEVELS;
  let gain = 0;
  for (const likelihood of outcomes) {
    let chance = 0;
    for (let cell = 0; cell < beliefs.length; cell++) chance += beliefs[cell]! * likelihood[cell]!;
    if (chance <= 0) continue;
    for (let state = 0; state < states; state++) {
      let [belief, joint] = [0, 0];
      for (let cell = state * SKILL_LEVELS; cell < (state + 1) * SKILL_LEVELS; cell++) {
        belief += beliefs[cell]!;
        joint += beliefs[cell]! * likelihood[cell]!;
      }
      if (joint > 0) gain += joint * Math.log2(joint / (belief * chance));
    }
  }
  return gain;
}

/** What is believed after an outcome. */
export function believeAfter(beliefs: Float64Array, likelihood: Float64Array): Float64Array {
  const after = beliefs.map((one, state) => one * likelihood[state]!);
  const total = after.reduce((a, b) => a + b, 0);
  return total > 0 ? after.map((one) => one / total) : beliefs;
}
