import type { LessonSettings } from '../lesson/settings.js';
import { readsAndSets } from '../misconceptions/distorted-acts.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { pairsShown, type ItemModel, type Shown } from './item-model.js';
import { CELLS, evidenceOf, HELD_CELLS, type Way } from './likelihood.js';
import { FIRMNESSES, HALF_LIFE_DAYS, HELD_PRIOR, LETS_GO, ONLY_READS, RIGHT, TAKES_ON, USUAL_IDEAS } from './model.js';
import { MS_PER_DAY, SAME_LESSON_MS } from '../time/spans.js';

/** One answer on its way into the filter. */
export interface Observed {
  readonly model: ItemModel;
  readonly shown: Shown;
  readonly atMs: number;
}

/** What is believed of a pupil at the end. */
export interface Belief {
  /** For each idea, that it is held, 0 to 1. */
  readonly held: Float64Array;
  /** That no idea is held. */
  readonly none: number;
  /** Chance of a right answer where no idea is in the way. */
  readonly right: number;
}

/** An idea and how it is held. */
interface Variant {
  readonly idea: number;
  readonly way: Way;
  /** Of those who hold the idea, the part that holds it so. */
  readonly part: number;
}

/** So many answers are taken together: within them nobody changes their mind. */
const BLOCK = 10;
/** Two ideas at once are looked at only among those that answers show, at most so many: no answer speaks for the others. */
const MOST_IN_PAIRS = 7;

/**
 * Follows what a pupil holds through time: every state (no idea, one, two; each idea in all it changes or in reading alone; at
 * each firmness; with each chance of a right answer) is weighed by the answers, block by block, and between blocks ideas are let
 * go of and taken on. So an idea that was let go of is no longer said once answers in which it could have shown do not show it.
 * Source: the forward algorithm of a hidden Markov model (Rabiner, 1989), exact over the states that are looked at.
 * @param observed oldest first
 * @param nowMs milliseconds since 1970: until then ideas fade of which nothing is asked
 */
export function follow(observed: readonly Observed[], ideas: readonly MisconceptionId[], settings: LessonSettings, nowMs: number): Belief {
  const place = new Map(ideas.map((id, index) => [id, index]));
  const variants = ideas.flatMap((id, idea): Variant[] =>
    readsAndSets(id, settings)
      ? [{ idea, way: 'all', part: 1 - ONLY_READS }, { idea, way: 'reads', part: ONLY_READS }] // prettier-ignore
      : [{ idea, way: 'all', part: 1 }],
  );
  const pairs = pairsOf(variants, showing(observed, ideas.length, place));
  const states = new States(variants, pairs, ideas.length);
  let lastMs: number | null = null;
  for (const block of blocksOf(observed)) {
    const startMs = block[0]!.atMs;
    if (lastMs !== null) states.change(startMs - lastMs > SAME_LESSON_MS ? 'lesson' : 'within', startMs - lastMs);
    states.weigh(block, place);
    lastMs = block.at(-1)!.atMs;
  }
  if (lastMs !== null && nowMs - lastMs > SAME_LESSON_MS) states.fade(nowMs - lastMs);
  return states.belief();
}

function* blocksOf(observed: readonly Observed[]): Generator<readonly Observed[]> {
  for (let start = 0; start < observed.length;) {
    let end = start + 1;
    while (end < observed.length && end - start < BLOCK && observed[end]!.atMs - observed[end - 1]!.atMs <= SAME_LESSON_MS) end++;
    yield observed.slice(start, end);
    start = end;
  }
}

/** Ideas that some wrong answer shows, those that most show first. */
function showing(observed: readonly Observed[], count: number, place: ReadonlyMap<MisconceptionId, number>): readonly number[] {
  const hits = new Float64Array(count);
  for (const { model, shown } of observed) {
    if (shown.is !== 'wrong') continue;
    const inPair = new Set(pairsShown(shown).flat());
    const explained = shown.byIdea.reduce((sum, hit) => sum + hit, 0);
    model.ideas.forEach((id, index) => {
      // An answer that only two ideas together give speaks for both of them a little.
      const own = shown.byIdea[index]!;
      hits[place.get(id)!]! += own > 0 ? own : explained === 0 && inPair.has(index) ? 0.5 : 0;
    });
  }
  // In steps, so that sums of the same hits in another order are no different.
  const most = (idea: number) => Math.round(hits[idea]! * 1000);
  return [...hits.keys()].filter((idea) => hits[idea]! > 0).sort((one, other) => most(other) - most(one)).slice(0, MOST_IN_PAIRS); // prettier-ignore
}

/** Every two variants of different ideas, by their places. */
function pairsOf(variants: readonly Variant[], shown: readonly number[]): readonly (readonly [number, number])[] {
  const among = variants.flatMap(({ idea }, index) => (shown.includes(idea) ? [index] : []));
  return among.flatMap((one, at) =>
    among.slice(at + 1).flatMap((other) => (variants[one]!.idea === variants[other]!.idea ? [] : [[one, other] as const])),
  );
}

const FIRM = FIRMNESSES.length;

/** The states and how likely each is. */
class States {
  private readonly none = Float64Array.from(RIGHT, ({ prior }) => HELD_PRIOR[0] * prior);
  private readonly single: Float64Array[];
  private readonly pair: Float64Array[];
  /** Of an idea that is taken on, the part that each variant is. */
  private readonly parts: readonly number[];
  /** For each idea the places of its variants. */
  private readonly variantsOf: readonly (readonly number[])[];
  /** For each variant the pairs that it is in, with the other one. */
  private readonly pairsWith: readonly (readonly { readonly pair: number; readonly other: number }[])[];

  constructor(
    private readonly variants: readonly Variant[],
    private readonly pairs: readonly (readonly [number, number])[],
    private readonly count: number,
  ) {
    this.variantsOf = Array.from({ length: count }, (_, idea) =>
      variants.flatMap((variant, index) => (variant.idea === idea ? [index] : [])),
    );
    this.parts = variants.map(({ part }) => part / Math.max(1, count));
    const usual = Math.max(1, Math.min(count, USUAL_IDEAS));
    const spread = (weight: number) => {
      const cells = new Float64Array(HELD_CELLS);
      for (let at = 0; at < HELD_CELLS; at++) cells[at] = (weight * RIGHT[at % CELLS]!.prior) / FIRM;
      return cells;
    };
    this.single = variants.map(({ part }) => spread((HELD_PRIOR[1] * part) / usual));
    // Two ideas are as likely as any other two.
    const allPairs = (usual * (usual - 1)) / 2;
    this.pair = pairs.map(([one, other]) => spread((HELD_PRIOR[2] / Math.max(1, allPairs)) * variants[one]!.part * variants[other]!.part));
    this.pairsWith = variants.map((_, variant) =>
      pairs.flatMap(([one, other], index) =>
        one === variant ? [{ pair: index, other }] : other === variant ? [{ pair: index, other: one }] : [],
      ),
    );
  }

  /** Weighs every state by some answers. */
  weigh(block: readonly Observed[], place: ReadonlyMap<MisconceptionId, number>): void {
    const { variants, pairs } = this;
    const plain = new Float64Array(CELLS);
    const single: (Float64Array | undefined)[] = [];
    const beyond: (Float64Array | undefined)[] = [];
    for (const { model, shown } of block) {
      const evidence = evidenceOf(shown, model);
      addTo(plain, evidence.plain);
      // Where each variant stands among the ideas of the item; nowhere where it has no chance there.
      const at = new Int16Array(variants.length).fill(-1);
      model.ideas.forEach((id, index) => {
        for (const variant of this.variantsOf[place.get(id)!]!) {
          at[variant] = index;
          addTo((single[variant] ??= new Float64Array(HELD_CELLS)), evidence.single[variants[variant]!.way][index]!);
        }
      });
      if (evidence.isOfNone) continue;
      for (let index = 0; index < pairs.length; index++) {
        const [one, other] = pairs[index]!;
        const [first, second] = [at[one]!, at[other]!];
        if (first < 0 || second < 0) continue;
        addTo((beyond[index] ??= new Float64Array(HELD_CELLS)), evidence.pair(first, variants[one]!.way, second, variants[other]!.way));
      }
    }
    // One scale for all states keeps the numbers from vanishing.
    const scale = plain.reduce((most, one) => Math.max(most, one), -Infinity);
    const base = plain.map((log) => Math.exp(log - scale));
    for (let cell = 0; cell < CELLS; cell++) this.none[cell]! *= base[cell]!;
    this.single.forEach((weights, variant) => {
      const adds = single[variant];
      for (let at = 0; at < HELD_CELLS; at++) weights[at]! *= base[at % CELLS]! * (adds ? Math.exp(adds[at]!) : 1);
    });
    this.pair.forEach((weights, index) => {
      const [one, other] = pairs[index]!;
      const [a, b, c] = [single[one], single[other], beyond[index]];
      for (let at = 0; at < HELD_CELLS; at++) {
        const log = (a ? a[at]! : 0) + (b ? b[at]! : 0) + (c ? c[at]! : 0);
        weights[at]! *= base[at % CELLS]! * (log === 0 ? 1 : Math.exp(log));
      }
    });
    this.normalise();
  }

  /** From one block of answers to the next: ideas are let go of, and some are taken on. */
  change(when: 'lesson' | 'within', passedMs: number): void {
    this.letGo(1 - (1 - LETS_GO[when]) * 0.5 ** (passedMs / MS_PER_DAY / HALF_LIFE_DAYS));
    if (when === 'lesson') this.takeOn(TAKES_ON);
  }

  /** Time without any answer. */
  fade(passedMs: number): void {
    this.letGo(1 - 0.5 ** (passedMs / MS_PER_DAY / HALF_LIFE_DAYS));
  }

  private letGo(chance: number): void {
    this.single.forEach((weights) => {
      for (let at = 0; at < HELD_CELLS; at++) {
        this.none[at % CELLS]! += weights[at]! * chance;
        weights[at]! *= 1 - chance;
      }
    });
    this.pair.forEach((weights, index) => {
      const [one, other] = this.pairs[index]!;
      const [first, second] = [this.single[one]!, this.single[other]!];
      for (let at = 0; at < HELD_CELLS; at++) {
        const weight = weights[at]!;
        first[at]! += weight * chance * (1 - chance);
        second[at]! += weight * chance * (1 - chance);
        this.none[at % CELLS]! += weight * chance * chance;
        weights[at] = weight * (1 - chance) * (1 - chance);
      }
    });
  }

  private takeOn(chance: number): void {
    const gained = this.single.map((weights, variant) => {
      const cells = new Float64Array(HELD_CELLS);
      for (let at = 0; at < HELD_CELLS; at++) cells[at] = (this.none[at % CELLS]! * chance * this.parts[variant]!) / FIRM;
      for (const { pair, other } of this.pairsWith[variant]!)
        for (let at = 0; at < HELD_CELLS; at++) {
          const moved = weights[at]! * chance * this.parts[other]!;
          this.pair[pair]![at]! += moved;
          cells[at]! -= moved;
        }
      return cells;
    });
    for (let cell = 0; cell < CELLS; cell++) this.none[cell]! *= 1 - chance;
    this.single.forEach((weights, variant) => addTo(weights, gained[variant]!));
  }

  private normalise(): void {
    const all = [this.none, ...this.single, ...this.pair];
    let total = 0;
    for (const weights of all) for (const weight of weights) total += weight;
    for (const weights of all) for (let at = 0; at < weights.length; at++) weights[at]! /= total;
  }

  belief(): Belief {
    const held = new Float64Array(this.count);
    const total = (weights: Float64Array) => weights.reduce((sum, one) => sum + one, 0);
    this.single.forEach((weights, variant) => (held[this.variants[variant]!.idea]! += total(weights)));
    this.pair.forEach((weights, index) => {
      const sum = total(weights);
      for (const variant of this.pairs[index]!) held[this.variants[variant]!.idea]! += sum;
    });
    let right = 0;
    for (const weights of [this.none, ...this.single, ...this.pair])
      for (let at = 0; at < weights.length; at++) right += weights[at]! * RIGHT[at % CELLS]!.chance;
    return { held, none: total(this.none), right };
  }
}

function addTo(sum: Float64Array, adds: Float64Array): void {
  for (let at = 0; at < sum.length; at++) sum[at]! += adds[at]!;
}
