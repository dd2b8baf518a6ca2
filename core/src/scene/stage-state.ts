import type { DialState } from './dial-state.js';

/** The two halves of a digital display as far as they are filled in; an empty half is an empty box. */
export interface DisplayState {
  readonly hour: string | null;
  readonly minute: string | null;
  readonly separator: ':' | '.';
}

/** All that the stage shows at one moment. Plain data: it goes over the wire as it stands. */
export interface StageState {
  readonly dial: DialState | null;
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
