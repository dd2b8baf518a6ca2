import type { HandId, Pose } from '../dial/pose.js';

/** Which parts of a dial are drawn. Every layer is a switch of its own. */
export interface DialLayers {
  readonly numerals: 'all' | 'quarters' | 'none';
  readonly ticks: boolean;
  readonly minuteRing: 'full' | 'quarters' | 'none';
  /** What stands at the top of the minute ring: counting round, the full turn is the next o'clock, not 60. */
  readonly ringTop: '00' | '60' | 'none';
  /** A 30° zone for each hour, from its numeral to the next. */
  readonly hourZones: boolean;
  readonly halves: boolean;
  readonly quarters: boolean;
  /** The part of the face from 12 to the minute hand. */
  readonly shaded: boolean;
  readonly hourHand: boolean;
  readonly minuteHand: boolean;
  /** Both hands in ink: told apart by length, width and tip alone. */
  readonly handsAlike: boolean;
}

/** Something pointed at on the dial. */
export type DialMark =
  | { readonly type: 'hand'; readonly hand: HandId }
  | { readonly type: 'numeral'; readonly numeral: number }
  | { readonly type: 'ray'; readonly deg: number }
  /** Minutes counted round from the 12 to a minute (1 to 60), as numbers on the rim in steps. */
  | { readonly type: 'count'; readonly toMinute: number; readonly by: 1 | 5 | 15 };

export interface DialState {
  readonly pose: Pose;
  readonly layers: DialLayers;
  readonly marks: readonly DialMark[];
}

/** The dial a check question shows: all numerals and ticks, hands told apart by shape, no help round the rim. */
export const PLAIN_LAYERS: DialLayers = {
  numerals: 'all',
  ticks: true,
  minuteRing: 'none',
  ringTop: '00',
  hourZones: false,
  halves: false,
  quarters: false,
  shaded: false,
  hourHand: true,
  minuteHand: true,
  handsAlike: true,
};

/** The dial a demonstration starts from: minute numbers round the rim, hands in the colours of the theme. */
export const TEACHING_LAYERS: DialLayers = { ...PLAIN_LAYERS, minuteRing: 'full', handsAlike: false };

/** A dial with no hands, for setting a time to. */
export const EMPTY_LAYERS: DialLayers = { ...PLAIN_LAYERS, hourHand: false, minuteHand: false };
