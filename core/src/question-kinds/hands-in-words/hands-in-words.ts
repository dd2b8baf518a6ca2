import { gearedPose } from '../../dial/pose.js';
import { timeOnRung } from '../../ladder/rung-times.js';
import { reasonFor } from '../../talk/reason.js';
import { talkOf, tongueOf } from '../../talk/registry.js';
import { toSecondOfDay, wrapSecondOfDay } from '../../time/second-of-day.js';
import { countOnceMore, whereToBegin } from '../kind-talk.js';
import type { ItemBase } from '../question-kind.js';
import { written } from '../seen-as.js';
import { timeKind } from '../time-kind.js';
import { TEXTS } from './texts.js';

/** Where the hands are is said in words, and no dial is seen; the pupil fills the two boxes of a display. */
export interface HandsInWordsItem extends ItemBase {
  readonly kind: 'hands-in-words';
  /** The time that the hands show, in seconds since midnight; in whole fives, so that both hands can be named by numerals. */
  readonly timeSec: number;
}

const atOf = (item: HandsInWordsItem) => toSecondOfDay(item.timeSec);
const FIVE_MIN_SEC = 300;

export const handsInWords = timeKind<'hands-in-words', HandsInWordsItem>({
  kind: 'hands-in-words',
  name: 'Hands described in words',
  thinkSec: 24,
  form: 'dial',
  at: atOf,
  timesOf: (item) => [atOf(item)],
  stem(item, settings) {
    const { where } = talkOf(settings);
    const { hourDeg, minuteDeg } = gearedPose(atOf(item));
    return TEXTS[tongueOf(settings)].stem(where(hourDeg), where(minuteDeg));
  },
  typed: (item, acts) => written(acts.read(gearedPose(atOf(item))), acts),
  doing: () => ['read', 'digits'],
  lookAt: (item, settings) => whereToBegin(atOf(item), settings),
  lookAgain: (item, part, settings) =>
    part === 'hour' ? talkOf(settings).hourReason(atOf(item), settings.betweenRule) : countOnceMore(atOf(item), settings),
  reason: (item, settings) => reasonFor(atOf(item), settings),
  make: (id, rng, rung) => ({
    id,
    kind: 'hands-in-words',
    timeSec: wrapSecondOfDay(Math.floor(timeOnRung(rung, rng) / FIVE_MIN_SEC) * FIVE_MIN_SEC),
  }),
  samples: [19_800, 27_000, 46_500, 21_900, 56_700, 0].map((timeSec, index) => ({
    id: `sample-${index}`,
    kind: 'hands-in-words' as const,
    timeSec,
  })),
});
