import type { BeatContext } from '@zeitpunkt/core/beats/registry';
import type { SweepBeat } from '@zeitpunkt/core/beats/sweep';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import type { DialBuild } from '@zeitpunkt/core/stage/dial-build';
import { SECONDS_PER_DAY, type SecondOfDay } from '@zeitpunkt/core/time/second-of-day';

export type SweepCount = SweepBeat['count'];

/** The sweep from one time on to another as a beat, and what it is played with. Past midnight it goes on into the next day. */
export function sweepOf(
  from: SecondOfDay,
  to: SecondOfDay,
  turnSeconds: number,
  count: SweepCount,
  build: DialBuild,
): { beat: SweepBeat; context: BeatContext } {
  const toSec = to < from ? to + SECONDS_PER_DAY : to;
  const beat: SweepBeat = { kind: 'sweep', fromSec: from, toSec, turnSeconds, count, stops: [], text: '' };
  const context: BeatContext = {
    settings: { ...DEFAULT_SETTINGS, pack: build.pack, separator: build.separator },
    layers: build.layers,
    itemOf: (id) => {
      throw new Error(`A demonstration asks no item, but ${id} was looked for.`);
    },
  };
  return { beat, context };
}
