import { comingHour } from './coming-hour.js';
import { halfOfComingHour } from './half-of-coming-hour.js';
import { handsExchanged } from './hands-exchanged.js';
import { hourHandOnNumeral } from './hour-hand-on-numeral.js';
import type { Misconception } from './misconception.js';
import { nearestHour } from './nearest-hour.js';
import { numeralAsMinutes } from './numeral-as-minutes.js';
import { sixtyAtTheTop } from './sixty-at-the-top.js';
import { zeroDropped } from './zero-dropped.js';

/** Every misconception by its id. Ids stand in stored marks: add, never rename or reuse. */
export const MISCONCEPTIONS = {
  'hands-exchanged': handsExchanged,
  'numeral-as-minutes': numeralAsMinutes,
  'nearest-hour': nearestHour,
  'coming-hour': comingHour,
  'half-of-coming-hour': halfOfComingHour,
  'hour-hand-on-numeral': hourHandOnNumeral,
  'zero-dropped': zeroDropped,
  'sixty-at-top': sixtyAtTheTop,
} as const satisfies Record<string, Misconception>;

export type MisconceptionId = keyof typeof MISCONCEPTIONS;

export const MISCONCEPTION_IDS = Object.keys(MISCONCEPTIONS) as MisconceptionId[];

/** A misconception by its id, as the plain record type. */
export function misconceptionOf(id: MisconceptionId): Misconception {
  return MISCONCEPTIONS[id];
}
