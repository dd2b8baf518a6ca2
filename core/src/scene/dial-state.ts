import type { HandId, Pose } from '../dial/pose.js';

/** Which parts of a dial are drawn. Every layer is a switch of its own. */
export interface DialLayers {
  readonly numerals: 'all' | 'quarters' | 'none';
  /** Numerals left out for pupils to fill in, 1 to 12. */
  readonly numeralGaps: readonly number[];
  readonly ticks: boolean;
  readonly minuteRing: 'full' | 'quarters' | 'none';
  /** What stands at the top of the minute ring: counting round, the full turn is the next o'clock, not 60. */
  readonly ringTop: '00' | '60' | 'oclock' | 'none';
  /** Hours 13 to 24 inside the numerals. */
  readonly ring24: boolean;
  /** A 30° zone for each hour, from its numeral to the next. */
  readonly hourZones: boolean;
  readonly halves: boolean;
  readonly quarters: boolean;
  /** The part of the face from 12 to the minute hand. */
  readonly shaded: boolean;
  readonly hourHand: boolean;
  readonly minuteHand: boolean;
  readonly secondHand: boolean;
  /** Colours of the hands: the theme's own, either of two school customs, or both in ink, told apart by shape alone. */
  readonly handInk: 'own' | 'red-blue' | 'blue-red' | 'alike';
  /** Where the minute hand would hide the hour hand, it turns to an outline. */
  readonly peek: boolean;
}

/** Something pointed at on the dial. */
export type DialMark =
  | { readonly type: 'hand'; readonly hand: HandId }
  | { readonly type: 'numeral'; readonly numeral: number }
  | { readonly type: 'ray'; readonly deg: number }
  /** Minutes counted round from the 12 to a minute (1 to 60), as numbers on the rim in steps. */
  | { readonly type: 'count'; readonly toMinute: number; readonly by: 1 | 5 | 15 }
  /** An arc between two places of the rim, clockwise, with the count written on it: "4 fives". */
  | { readonly type: 'arc'; readonly fromMinute: number; readonly toMinute: number; readonly by: 1 | 5 | 15 }
  /** A letter on a plate, at a place of the dial: direction in degrees, distance from the centre in dial units. */
  | { readonly type: 'letter'; readonly letter: string; readonly deg: number; readonly radius: number }
  /** Free ink: path data in dial units, about the centre, so that it follows the dial when it is resized. */
  | { readonly type: 'ink'; readonly id: string; readonly d: string };

export interface DialState {
  readonly pose: Pose;
  /** The second hand, degrees clockwise from 12. */
  readonly secondDeg: number;
  /** How far behind the minute hand a fast sweep blurs, in degrees; 0 for none. Instead of flicker. */
  readonly trailDeg: number;
  readonly layers: DialLayers;
  readonly marks: readonly DialMark[];
  /** One of the right choices of a question that was answered: ticked beside its letter. */
  readonly isKey: boolean;
}

/** A dial with its second hand at 12 and no trail, as most are. */
export function dialOf(pose: Pose, layers: DialLayers, marks: readonly DialMark[] = []): DialState {
  return { pose, secondDeg: 0, trailDeg: 0, layers, marks, isKey: false };
}

/** The dial a check question shows: all numerals and ticks, hands told apart by shape, no help round the rim. */
export const PLAIN_LAYERS: DialLayers = {
  numerals: 'all',
  ticks: true,
  minuteRing: 'none',
  numeralGaps: [],
  ringTop: '00',
  ring24: false,
  hourZones: false,
  halves: false,
  quarters: false,
  shaded: false,
  hourHand: true,
  minuteHand: true,
  secondHand: false,
  handInk: 'alike',
  peek: true,
};

/** The dial a demonstration starts from: minute numbers round the rim, hands in the colours of the theme. */
export const TEACHING_LAYERS: DialLayers = { ...PLAIN_LAYERS, minuteRing: 'full', handInk: 'own' };

/** A dial with no hands, for setting a time to. */
export const EMPTY_LAYERS: DialLayers = { ...PLAIN_LAYERS, hourHand: false, minuteHand: false };
