import type { Band } from './bands/band.js';
import type { DialState } from './dial-state.js';

/** The two halves of a digital display as far as they are filled in; an empty half is an empty box. */
export interface DisplayState {
  readonly hour: string | null;
  readonly minute: string | null;
  readonly separator: ':' | '.';
  /** Hours from 00 to 23 instead of 1 to 12. */
  readonly of24?: boolean;
  /** Digits covered for pupils to fill in: 0 and 1 of the hour, 2 and 3 of the minutes. None when absent. */
  readonly covered?: readonly number[];
  /** Digits in plain ink instead of the colours of the hands. */
  readonly plain?: boolean;
}

/** All that the stage shows at one moment. Plain data: it goes over the wire as it stands. */
export interface StageState {
  readonly dial: DialState | null;
  /** Dials beside the first one, up to seven, each with its own layers: for comparing, matching, "which one …". */
  readonly dials?: readonly DialState[];
  /** How many of them stand before the first one; none when absent. */
  readonly dialPlace?: number;
  /** Lines and strips under the dial, up to two. */
  readonly bands?: readonly Band[];
  readonly display: DisplayState | null;
  /** Wordings of the time, the best first. */
  readonly words: readonly string[];
  /** Short lines of the chain of thought, one under the other. */
  readonly board: readonly string[];
  /** The stem of the question that is asked, if one is. */
  readonly stem: string | null;
  /** Think time left, if some is running. */
  readonly countdown: { readonly totalMs: number; readonly leftMs: number } | null;
}

/** All dials of a stage in the order they stand. */
export function dialsInOrder({ dial, dials = [], dialPlace = 0 }: StageState): readonly DialState[] {
  return dial ? [...dials.slice(0, dialPlace), dial, ...dials.slice(dialPlace)] : [];
}
