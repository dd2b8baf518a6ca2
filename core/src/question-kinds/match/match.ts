import type { Acts } from '../../acts/acts.js';
import { sameTyped, timeTyped, typedTime } from '../../acts/typed-time.js';
import { gearedPose } from '../../dial/pose.js';
import { timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import { MISCONCEPTION_IDS } from '../../misconceptions/registry.js';
import type { Rng } from '../../random/rng.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { SECONDS_PER_HALF_DAY, toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { pairKind } from '../pair-kind.js';
import type { ItemBase } from '../question-kind.js';
import { asChoice, seenAs, type Given } from '../seen-as.js';
import { oneOf, shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** Times shown in two ways; the pupil puts together what is the same. One more may be on the right. */
export interface MatchItem extends ItemBase {
  readonly kind: 'match';
  readonly left: Given;
  readonly right: Given;
  /** Two to four times on the left, in seconds since midnight, in the order they stand; all different on the dial. */
  readonly times: readonly number[];
  /** The same times on the right in the order they stand there, and at most one more. */
  readonly others: readonly number[];
}

const MOST_PAIRS = 3;

const shown = (times: readonly number[], given: Given, settings: LessonSettings) =>
  times.map((sec) => asChoice(toSecondOfDay(sec), given, settings));

export const match = pairKind<'match', MatchItem>({
  kind: 'match',
  name: 'Match',
  thinkSec: 36,
  timesOf: (item) => item.times.map(toSecondOfDay),
  stem: (_item, settings) => TEXTS[tongueOf(settings)].stem,
  cards: (item, settings) => shown(item.times, item.left, settings),
  partners: (item, settings) => shown(item.others, item.right, settings),
  pairs: pairsOf,
  doing: (item) => (item.left === 'words' || item.right === 'words' ? ['mean', 'read'] : ['read']),
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  keySentence: (_item, settings, key) =>
    TEXTS[tongueOf(settings)].together(key.map((right, left) => `${dialLetter(left)} ${(right ?? 0) + 1}`).join(', ')),
  make,
  samples: [
    { id: 'sample-display', kind: 'match', left: 'dial', right: 'display', times: [9900, 13_500, 27_000], others: [13_500, 27_000, 9900] },
    {
      id: 'sample-words',
      kind: 'match',
      left: 'words',
      right: 'display',
      times: [56_700, 4500, 15_300],
      others: [60_300, 4500, 56_700, 15_300],
    },
    { id: 'sample-dials', kind: 'match', left: 'dial', right: 'words', times: [27_000, 30_600], others: [30_600, 27_000, 23_400] },
    { id: 'sample-zero', kind: 'match', left: 'dial', right: 'display', times: [21_900, 24_600, 20_700], others: [24_600, 20_700, 21_900] },
  ],
});

/** For each card the first one on the right, not taken yet, that somebody who does the acts so reads as the same. */
function pairsOf(item: MatchItem, acts: Acts, settings: LessonSettings): (number | null)[] {
  const right = shown(item.others, item.right, settings).map((card) => seenAs(card, acts));
  const taken = new Set<number>();
  return shown(item.times, item.left, settings).map((card) => {
    const seen = seenAs(card, acts);
    const place = right.findIndex((typed, index) => !taken.has(index) && typed.some((one) => seen.some((two) => sameTyped(one, two))));
    if (place < 0) return null;
    taken.add(place);
    return place;
  });
}

/** The other times are those that ideas read from the first one, as far as they stand on the rung. */
function make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): MatchItem {
  const [left, right] = oneOf(
    [
      ['dial', 'display'],
      ['dial', 'words'],
      ['words', 'display'],
    ] as readonly (readonly [Given, Given])[] as [readonly [Given, Given]],
    rng,
  );
  const first = timeOnRung(rung, rng);
  const half = first < SECONDS_PER_HALF_DAY ? 0 : SECONDS_PER_HALF_DAY;
  const mistaken = shuffled(MISCONCEPTION_IDS, rng).flatMap((idea) => {
    const acts = actsOf([idea], settings);
    const seen = left === 'dial' ? acts.read(gearedPose(first)) : seenAs(asChoice(first, left, settings), acts);
    return seen.map(timeTyped).filter((time): time is SecondOfDay => time !== null && !sameTyped(typedTime(time), typedTime(first)));
  });
  const onRung = mistaken.map((time) => time + half).filter((sec) => rung.minutes.includes(Math.floor(sec / 60) % 60));
  const drawn = Array.from({ length: 20 }, () => (timeOnRung(rung, rng) % SECONDS_PER_HALF_DAY) + half);
  const all = [...new Set([first as number, ...onRung.slice(0, 2), ...drawn])];
  const times = all.slice(0, MOST_PAIRS);
  // One more on the right, so that the last pair is not left over: what an idea makes of a time, if there is one.
  const more = onRung.find((sec) => !times.includes(sec));
  return {
    id,
    kind: 'match',
    left,
    right,
    times: shuffled(times, rng),
    others: shuffled(more === undefined ? times : [...times, more], rng),
  };
}
