import { gearedPose } from '../../dial/pose.js';
import { timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import { tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import { PLAIN_LAYERS, type DialLayers } from '../../scene/dial-state.js';
import { wrapSecondOfDay } from '../../time/second-of-day.js';
import { numberKind } from '../number-kind.js';
import { dialPicture } from '../picture.js';
import type { ItemBase } from '../question-kind.js';
import { TEXTS } from './texts.js';

/** A dial with three hands; the pupil reads the seconds. */
export interface SecondHandItem extends ItemBase {
  readonly kind: 'second-hand';
  /** The whole minute that the other hands show, in seconds since midnight. */
  readonly timeSec: number;
  /** Where the second hand stands: seconds past the minute, 0 to 59. */
  readonly second: number;
}

const THREE_HANDS: DialLayers = { ...PLAIN_LAYERS, secondHand: true };

export const secondHand = numberKind<'second-hand', SecondHandItem>({
  kind: 'second-hand',
  name: 'Read the second hand',
  thinkSec: 18,
  stem: (_item, settings) => TEXTS[tongueOf(settings)].stem,
  picture: ({ timeSec, second }) => dialPicture({ ...gearedPose(wrapSecondOfDay(timeSec + second)), secondDeg: second * 6 }, THREE_HANDS),
  labels: () => [''],
  unit: (_item, settings) => TEXTS[tongueOf(settings)].unit,
  key: ({ second }) => [second],
  // Seconds are counted round as minutes are.
  values: ({ second }, acts) => [[...new Set(acts.count(second * 6))]],
  doing: () => ['count'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason: ({ second }, settings) => {
    const { is, top, fives } = TEXTS[tongueOf(settings)];
    return second === 0 ? [top] : [is(second), fives(second)];
  },
  make,
  samples: [[33_000, 20], [43_200, 0], [13_200, 40], [27_000, 5]].map(([timeSec = 0, second = 0], index) => ({ id: `sample-${index}`, kind: 'second-hand' as const, timeSec, second })), // prettier-ignore
});

/** In whole fives; now and then at the top, where a minute begins. */
function make(id: string, rng: Rng, rung: RungTimes): SecondHandItem {
  return { id, kind: 'second-hand', timeSec: timeOnRung(rung, rng), second: Math.floor(rng() * 12) * 5 };
}
