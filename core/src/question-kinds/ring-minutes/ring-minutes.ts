import { gearedPose } from '../../dial/pose.js';
import type { RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import { EMPTY_LAYERS, PLAIN_LAYERS } from '../../scene/dial-state.js';
import { secondOfDay } from '../../time/second-of-day.js';
import { numberKind } from '../number-kind.js';
import { dialPicture, type Picture } from '../picture.js';
import type { ItemBase } from '../question-kind.js';
import { shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** Numerals that the long hand points at; the pupil says how many minutes each of them is. */
export interface RingMinutesItem extends ItemBase {
  readonly kind: 'ring-minutes';
  /** One to four numerals, 1 to 12. */
  readonly numerals: readonly number[];
}

/** Minutes past the hour at a numeral: the 12 begins them. */
const minutesAt = (numeral: number) => (numeral % 12) * 5;

export const ringMinutes = numberKind<'ring-minutes', RingMinutesItem>({
  kind: 'ring-minutes',
  name: 'Minutes of a numeral',
  thinkSec: 16,
  stem({ numerals }, settings) {
    const { stem, several } = TEXTS[tongueOf(settings)];
    return numerals.length === 1 ? stem(numerals[0]!) : several;
  },
  picture: ({ numerals }) => pictureOf(numerals),
  labels: ({ numerals }) => numerals.map(String),
  unit: (_item, settings) => TEXTS[tongueOf(settings)].unit,
  key: ({ numerals }) => numerals.map(minutesAt),
  values: ({ numerals }, acts) => numerals.map((numeral) => [...new Set(acts.count((numeral % 12) * 30))]),
  doing: () => ['count'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason({ numerals }, settings) {
    const [first, ...others] = numerals.map((numeral) => sentenceOf(numeral, settings));
    return [first!, ...others];
  },
  answered: ({ numerals }) => {
    const picture = pictureOf(numerals);
    return { ...picture, dial: picture.dial && { ...picture.dial, layers: { ...picture.dial.layers, minuteRing: 'full' } } };
  },
  make,
  samples: [[7], [1, 9], [12, 4], [2, 11, 6]].map((numerals, index) => ({
    id: `sample-${index}`,
    kind: 'ring-minutes' as const,
    numerals,
  })),
});

/** One numeral has the long hand on it; of several the numerals alone are asked. */
function pictureOf(numerals: readonly number[]): Picture {
  const [only] = numerals;
  return numerals.length === 1
    ? dialPicture(gearedPose(secondOfDay(0, minutesAt(only!))), { ...PLAIN_LAYERS, hourHand: false })
    : dialPicture(gearedPose(secondOfDay(0, 0)), EMPTY_LAYERS);
}

function sentenceOf(numeral: number, settings: LessonSettings): string {
  const text = TEXTS[tongueOf(settings)];
  return numeral === 12 ? text.top : text.is(numeral, minutesAt(numeral));
}

/** Numerals of minutes that the rung knows; the first rungs know only the top and the halves. */
function make(id: string, rng: Rng, { minutes }: RungTimes): RingMinutesItem {
  const fives = minutes.filter((minute) => minute % 5 === 0).map((minute) => minute / 5 || 12);
  return { id, kind: 'ring-minutes', numerals: shuffled(fives, rng).slice(0, 1 + Math.floor(rng() * 3)) };
}
