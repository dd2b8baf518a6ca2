import type { Pose } from '../dial/pose.js';
import type { Band } from '../scene/bands/band.js';
import { dialOf, type DialLayers, type DialMark, type DialState } from '../scene/dial-state.js';
import { CLEAR_STAGE, type DisplayState, type StageState } from '../scene/stage-state.js';

/** A letter beside a place of a dial, for questions about that place. */
export type DialLetter = Extract<DialMark, { type: 'letter' }>;

/** A dial beside a stem; its second hand is at 12 where nothing is said of it. */
export interface PictureDial extends Pose {
  readonly secondDeg?: number;
  readonly layers: DialLayers;
  readonly letters: readonly DialLetter[];
}

/** What a question shows beside its stem; every part may be missing. Pupils' devices see it before the reveal. */
export interface Picture {
  readonly dial: PictureDial | null;
  readonly display: DisplayState | null;
  /** Short lines: a wording, what happens, a row of times. */
  readonly lines: readonly string[];
  readonly band: Band | null;
}

export const NO_PICTURE: Picture = { dial: null, display: null, lines: [], band: null };

/** A picture of one dial. */
export function dialPicture(
  { hourDeg, minuteDeg, secondDeg }: Pose & Pick<PictureDial, 'secondDeg'>,
  layers: DialLayers,
  letters: readonly DialLetter[] = [],
): Picture {
  return { ...NO_PICTURE, dial: { hourDeg, minuteDeg, ...(secondDeg !== undefined && { secondDeg }), layers, letters } };
}

/** The dial of a picture as it is drawn. */
export function dialOfPicture({ hourDeg, minuteDeg, secondDeg = 0, layers, letters }: PictureDial): DialState {
  return { ...dialOf({ hourDeg, minuteDeg }, layers, letters), secondDeg };
}

/** The picture on a stage of its own, as the class sees it while the question is asked. */
export function pictureOnStage({ dial, display, lines, band }: Picture): StageState {
  return {
    ...CLEAR_STAGE,
    dial: dial && dialOfPicture(dial),
    display,
    board: lines,
    bands: band ? [band] : [],
  };
}
