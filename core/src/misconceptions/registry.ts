import { amPmExchanged } from './am-pm-exchanged.js';
import { comingHour } from './coming-hour.js';
import { countStartsLate } from './count-starts-late.js';
import { countStartsOn12 } from './count-starts-on-12.js';
import { countsOtherWay } from './counts-other-way.js';
import { fencePost } from './fence-post.js';
import { halfOfComingHour } from './half-of-coming-hour.js';
import { handsExchanged } from './hands-exchanged.js';
import { hourAsHundred } from './hour-as-hundred.js';
import { hourHandAtComingNumeral } from './hour-hand-at-coming-numeral.js';
import { hourHandHalfway } from './hour-hand-halfway.js';
import { hourHandOnNumeral } from './hour-hand-on-numeral.js';
import { hours24MinusTen } from './hours-24-minus-ten.js';
import { longHandIgnored } from './long-hand-ignored.js';
import { midnightNoonExchanged } from './midnight-noon-exchanged.js';
import { nearestHour } from './nearest-hour.js';
import { noWrapAt12 } from './no-wrap-at-12.js';
import { numeralAsMinutes } from './numeral-as-minutes.js';
import { onceRoundADay } from './once-round-a-day.js';
import { oneHourBack } from './one-hour-back.js';
import { quarterIs25 } from './quarter-is-25.js';
import { sixtyAtTheTop } from './sixty-at-the-top.js';
import { tickMiscounted } from './tick-miscounted.js';
import { toAsPast } from './to-as-past.js';
import { toKeepsHour } from './to-keeps-hour.js';
import { writtenAsHeard } from './written-as-heard.js';
import { wrongDirection } from './wrong-direction.js';
import { zeroDropped } from './zero-dropped.js';
import type { Misconception } from './misconception.js';

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
  'one-hour-back': oneHourBack,
  'count-starts-on-12': countStartsOn12,
  'count-starts-late': countStartsLate,
  'counts-other-way': countsOtherWay,
  'tick-miscounted': tickMiscounted,
  'long-hand-ignored': longHandIgnored,
  'hour-hand-at-coming': hourHandAtComingNumeral,
  'hour-hand-halfway': hourHandHalfway,
  'quarter-is-25': quarterIs25,
  'to-keeps-hour': toKeepsHour,
  'to-as-past': toAsPast,
  'written-as-heard': writtenAsHeard,
  'midnight-noon-exchanged': midnightNoonExchanged,
  'am-pm-exchanged': amPmExchanged,
  '24-minus-ten': hours24MinusTen,
  'once-round-a-day': onceRoundADay,
  'no-wrap-at-12': noWrapAt12,
  'hour-as-hundred': hourAsHundred,
  'wrong-direction': wrongDirection,
  'fence-post': fencePost,
} as const satisfies Record<string, Misconception>;

export type MisconceptionId = keyof typeof MISCONCEPTIONS;

export const MISCONCEPTION_IDS = Object.keys(MISCONCEPTIONS) as MisconceptionId[];

/** A misconception by its id, as the plain record type. */
export function misconceptionOf(id: MisconceptionId): Misconception {
  return MISCONCEPTIONS[id];
}
