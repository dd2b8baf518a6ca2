import type { Pose } from '../dial/pose.js';
import type { Band } from './bands/band.js';
import type { DialState } from './dial-state.js';

/** The two halves of a digital display as far as they are filled in; an empty half is an empty box. */
export interface DisplayState {
  readonly hour: string | null;
  readonly minute: string | null;
  readonly separator: ':' | '.';
  /** Hours from 00 to 23 instead of 1 to 12. */
  readonly of24: boolean;
  /** Digits covered for pupils to fill in: 0 and 1 of the hour, 2 and 3 of the minutes. */
  readonly covered: readonly number[];
  /** Digits in plain ink instead of the colours of the hands. */
  readonly plain: boolean;
}

/** A display of 12 hours in the colours of the hands with nothing covered, as most are. Null leaves a half empty. */
export function displayOf(hour: string | null, minute: string | null, separator: DisplayState['separator']): DisplayState {
  return { hour, minute, separator, of24: false, covered: [], plain: false };
}

/** A chart to come back to: times with their display and words, and sentences to go by. */
export interface ChartState {
  readonly title: string;
  readonly entries: readonly { readonly pose: Pose; readonly display: string; readonly words: string }[];
  readonly lines: readonly string[];
}

/** All that the stage shows at one moment. Plain data: it goes over the wire as it stands. Every member is always there. */
export interface StageState {
  readonly dial: DialState | null;
  /** Dials beside the first one, up to seven, each with its own layers: for comparing, matching, "which one …". */
  readonly dials: readonly DialState[];
  /** How many of them stand before the first one. */
  readonly dialPlace: number;
  /** Lines and strips under the dial, up to two. */
  readonly bands: readonly Band[];
  readonly display: DisplayState | null;
  /** Wordings of the time, the best first. */
  readonly words: readonly string[];
  /** Short lines of the chain of thought, one under the other. */
  readonly board: readonly string[];
  /** The stem of the question that is asked, if one is. */
  readonly stem: string | null;
  /** The reference chart; it has the stage to itself. */
  readonly chart: ChartState | null;
  /** Think time left, if some is running. */
  readonly countdown: { readonly totalMs: number; readonly leftMs: number } | null;
}

/** A stage with nothing on it: whatever shows something begins here, so that nothing of before is left over. */
export const CLEAR_STAGE: StageState = {
  dial: null,
  dials: [],
  dialPlace: 0,
  bands: [],
  display: null,
  words: [],
  board: [],
  stem: null,
  chart: null,
  countdown: null,
};

/** The parts of a stage that are kept, on an otherwise clear one. */
export function keepOnStage(stage: StageState, parts: readonly (keyof StageState)[]): StageState {
  return { ...CLEAR_STAGE, ...Object.fromEntries(parts.map((part) => [part, stage[part]])) };
}

/** All dials of a stage in the order they stand. */
export function dialsInOrder({ dial, dials, dialPlace }: StageState): readonly DialState[] {
  return dial ? [...dials.slice(0, dialPlace), dial, ...dials.slice(dialPlace)] : [];
}

/** A stage with several dials side by side; none leaves the stage without a dial. */
export function sideBySide(dials: readonly DialState[]): Pick<StageState, 'dial' | 'dials' | 'dialPlace'> {
  return { dial: dials[0] ?? null, dials: dials.slice(1), dialPlace: 0 };
}
