import type { MisconceptionId } from '../misconceptions/registry.js';
import type { PupilProfile } from './simulated-pupil.js';
import type { Rng } from '../random/rng.js';

/** Shares of a class that knows a rung half: who holds no wrong idea of it, one, or two. */
const [HOLDS_NONE, HOLDS_ONE] = [0.55, 0.85];
/** Habits of children: see PupilHabits. */
const KNOWS_BY_HEART = 0.6;
const ONLY_READS = 0.3;
const MOST_UNEVEN = 0.2;
const MOST_USUAL = 0.5;
/** From the quick to the slow, as median response times on the first rung, in milliseconds. */
const [QUICK_MS, SLOW_MS] = [6000, 14_000];

/**
 * Pupils as a class may have them that is at a rung: some hold one or two of its usual misconceptions, more often its
 * first ones; some are careless, some slow. The same random numbers give the same class.
 * @param usual the usual misconceptions of what is taught, the most frequent first
 */
export function simulatedClass(size: number, usual: readonly MisconceptionId[], rng: Rng): PupilProfile[] {
  return Array.from({ length: size }, () => {
    const share = rng();
    const held = usual.length === 0 || share < HOLDS_NONE ? 0 : share < HOLDS_ONE ? 1 : 2;
    // The square of an even number is small more often: the frequent ideas are held by more.
    const ideas = Array.from({ length: held }, () => usual[Math.floor(rng() ** 2 * usual.length)]!);
    return {
      misconceptions: [...new Set(ideas)],
      firmness: 0.6 + 0.35 * rng(),
      carelessness: 0.15 * rng(),
      paceMs: QUICK_MS + (SLOW_MS - QUICK_MS) * rng(),
      // Who knows full hours by heart, who sets right what they read wrong, and how much that differs from kind to kind.
      habits: {
        ...(rng() < KNOWS_BY_HEART && { byHeart: rng() < 0.5 ? ('hours' as const) : ('halves' as const) }),
        ...(rng() < ONLY_READS && { onlyReads: true as const }),
        uneven: MOST_UNEVEN * rng(),
        usualMistakes: MOST_USUAL * rng(),
      },
    };
  });
}
