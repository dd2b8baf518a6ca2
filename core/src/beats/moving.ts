import type { BeatKind } from './beat-kind.js';
import type { MarkBeat } from './mark.js';
import { markBeat } from './mark.js';
import type { SweepBeat } from './sweep.js';
import { sweepBeat } from './sweep.js';

/** Beats that move by themselves: all that a pupil's device has to play, so that it need not load the other kinds. */
const MOVING_BEATS = { mark: markBeat, sweep: sweepBeat } as const;

export type MovingBeat = MarkBeat | SweepBeat;

export function isMovingBeat(beat: { readonly kind: string }): beat is MovingBeat {
  return Object.hasOwn(MOVING_BEATS, beat.kind);
}

/** The kind of a moving beat as a record over the union. */
export function movingBeatOf(beat: MovingBeat): BeatKind<MovingBeat> {
  return MOVING_BEATS[beat.kind] as unknown as BeatKind<MovingBeat>;
}
