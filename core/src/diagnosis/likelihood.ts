import { pairPlace, type ItemModel, type Shown } from './item-model.js';
import { BOTH_AT_ONCE, FIRMNESSES, RIGHT, SAYS_NOT_SURE, USUAL_MISTAKES } from './model.js';

/** How often an answer is right without an idea. */
export const CELLS = RIGHT.length;
/** The same at each firmness, firmness-major. */
export const HELD_CELLS = FIRMNESSES.length * CELLS;

/** How an idea is held: in all that it changes, or in reading and understanding alone. */
export type Way = 'all' | 'reads';

/** Logarithms of likelihoods of one answer. */
export interface Evidence {
  /** Without any idea, by cell. */
  readonly plain: Float64Array;
  /** For each idea of the item and each way of holding it, what it adds, by firmness and cell. */
  readonly single: Readonly<Record<Way, readonly Float64Array[]>>;
  /** Whether no idea leads to the answer, alone or with another: then two ideas add no more than each of them does. */
  readonly isOfNone: boolean;
  /** What two ideas add beyond what each of them adds; by their places among the ideas of the item. */
  pair(first: number, firstWay: Way, second: number, secondWay: Way): Float64Array;
}

/** A class gives the same answers to an item: what they show is the same object, and is looked at once. */
const known = new WeakMap<Shown, Evidence>();

/** What one answer says of every state of a pupil, before its place in time is looked at. */
export function evidenceOf(shown: Shown, model: ItemModel): Evidence {
  let evidence = known.get(shown);
  if (!evidence) known.set(shown, (evidence = makeEvidence(shown, model)));
  return evidence;
}

function makeEvidence(shown: Shown, { ideas, reach, ways }: ItemModel): Evidence {
  const base = baseOf(shown, ways);
  const plain = base.map(Math.log);
  const both: (Float64Array | undefined)[] = [];
  const hits = { all: shown.byIdea, reads: shown.byReading } as const;
  const single = {} as Record<Way, readonly Float64Array[]>;
  single.all = ideas.map((_, idea) => adds(hits.all[idea]!, reach[idea]!));
  single.reads = ideas.map((_, idea) =>
    shown.readsAlike[idea] && hits.reads[idea] === hits.all[idea]
      ? single.all[idea]!
      : adds(hits.reads[idea]!, shown.readsAlike[idea] ? reach[idea]! : 0),
  );
  const isOfNone = [...shown.byIdea, ...shown.byReading, ...shown.byPair].every((hit) => hit === 0);
  return { plain, single, isOfNone, pair };

  /** How much likelier one idea makes the answer. */
  function adds(hit: number, reached: number): Float64Array {
    return overCells((firmness, likelihood, cell) => {
      const follows = firmness * reached;
      return Math.log(follows * hit + (1 - follows) * likelihood) - plain[cell]!;
    });
  }

  function pair(first: number, firstWay: Way, second: number, secondWay: Way): Float64Array {
    const key = (2 * first + Number(firstWay === 'reads')) * 2 * ideas.length + 2 * second + Number(secondWay === 'reads');
    let beyond = both[key];
    if (beyond) return beyond;
    const [hitFirst, hitSecond] = [hits[firstWay][first]!, hits[secondWay][second]!];
    const isOff = (idea: number, way: Way) => way === 'reads' && !shown.readsAlike[idea];
    const [reachFirst, reachSecond] = [isOff(first, firstWay) ? 0 : reach[first]!, isOff(second, secondWay) ? 0 : reach[second]!];
    const together = reachFirst > 0 && reachSecond > 0 ? (shown.byPair[pairPlace(first, second, ideas.length)] ?? 0) : 0;
    const [ownFirst, ownSecond] = [single[firstWay][first]!, single[secondWay][second]!];
    beyond = overCells((firmness, likelihood, cell, place) => {
      const [one, other] = [firmness * reachFirst, firmness * reachSecond];
      const eitherWay = (hitFirst + hitSecond) / 2;
      const joint =
        one * other * (BOTH_AT_ONCE * together + (1 - BOTH_AT_ONCE) * eitherWay) +
        one * (1 - other) * hitFirst +
        other * (1 - one) * hitSecond +
        (1 - one) * (1 - other) * likelihood;
      return Math.log(joint) - plain[cell]! - ownFirst[place]! - ownSecond[place]!;
    });
    both[key] = beyond;
    return beyond;
  }

  function overCells(of: (firmness: number, likelihood: number, cell: number, place: number) => number): Float64Array {
    const logs = new Float64Array(HELD_CELLS);
    for (let place = 0; place < HELD_CELLS; place++) {
      const cell = place % CELLS;
      logs[place] = of(FIRMNESSES[Math.floor(place / CELLS)]!, base[cell]!, cell, place);
    }
    return logs;
  }
}

/** Likelihoods of an answer without any idea. */
function baseOf({ is, byIdea }: Shown, ways: number): Float64Array {
  const hits = byIdea.reduce((sum, hit) => sum + hit, 0);
  const usual = byIdea.length > 0 ? hits / byIdea.length : 0;
  const scatter = byIdea.length > 0 ? (1 - USUAL_MISTAKES) / ways + USUAL_MISTAKES * usual : 1 / ways;
  return Float64Array.from(RIGHT, ({ chance }) => {
    if (is === 'right') return chance;
    const saysSo = (1 - chance) * SAYS_NOT_SURE;
    return is === 'not-sure' ? saysSo + 0.01 : Math.max(1e-6, (1 - chance - saysSo) * scatter);
  });
}
