/** A source of random numbers, 0 ≤ n < 1. Core never makes its own: a seeded one is handed in. */
export type Rng = () => number;

/**
 * A small seeded generator: the same seed gives the same numbers on every machine.
 * Source: "mulberry32" by Tommy Ettinger, public domain.
 * @param seed any whole number; its lowest 32 bits count
 */
export function seededRng(seed: number): Rng {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
