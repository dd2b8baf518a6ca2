import {
  DEFAULT_SETTINGS,
  SECONDS_PER_DAY,
  SECONDS_PER_HALF_DAY,
  type BeatContext,
  type DialBuild,
  type SecondOfDay,
  type SweepBeat,
} from '@zeitpunkt/core';

export type SweepCount = SweepBeat['count'];

/**
 * The sweep from one time on to another as a beat, and what it is played with. A sweep does not cross midnight: the dial
 * looks the same twelve hours earlier, so it begins there instead.
 */
export function sweepOf(
  from: SecondOfDay,
  to: SecondOfDay,
  turnSeconds: number,
  count: SweepCount,
  build: DialBuild,
): { beat: SweepBeat; context: BeatContext } {
  const length = (to - from + SECONDS_PER_DAY) % SECONDS_PER_DAY;
  const start = from + length < SECONDS_PER_DAY ? from : from - SECONDS_PER_HALF_DAY;
  const beat: SweepBeat = { kind: 'sweep', fromSec: start, toSec: start + length, turnSeconds, count, stops: [], text: '' };
  const context: BeatContext = {
    settings: { ...DEFAULT_SETTINGS, pack: build.pack, separator: build.separator },
    itemOf: (id) => {
      throw new Error(`A demonstration asks no item, but ${id} was looked for.`);
    },
  };
  return { beat, context };
}
