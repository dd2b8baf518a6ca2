import { CoreError } from '../../errors.js';
import type { Acts } from '../../acts/acts.js';
import { timeTyped, typedTime } from '../../acts/typed-time.js';
import { gearedPose } from '../../dial/pose.js';
import { rungsToTry, timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import { MISCONCEPTION_IDS } from '../../misconceptions/registry.js';
import type { Rng } from '../../random/rng.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { displayText } from '../../time/display.js';
import { later } from '../../time/duration.js';
import { SECONDS_PER_HALF_DAY, toSecondOfDay, wrapSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { choiceKind } from '../choice-kind.js';
import type { ItemBase } from '../question-kind.js';
import { dialsReadAs } from '../read-as.js';
import { shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** Dials; the pupil takes the one whose time lies between two others, less than six hours apart. */
export interface BetweenTimesItem extends ItemBase {
  readonly kind: 'between-times';
  /** The two times, in seconds since midnight. */
  readonly fromSec: number;
  readonly toSec: number;
  /** Two to four times that dials show, in seconds since midnight, in the order they stand; one lies between. */
  readonly times: readonly number[];
}

/** From the first time on to the second, in minutes. */
const SPAN_MIN = 60;
const MOST_OTHERS = 2;

export const betweenTimes = choiceKind<'between-times', BetweenTimesItem>({
  kind: 'between-times',
  name: 'Between two times',
  thinkSec: 30,
  timesOf: (item) => item.times.map(toSecondOfDay).filter((at) => isBetween(item, at)),
  stem: (item, { separator, ...settings }) =>
    TEXTS[tongueOf(settings)].stem(displayText(toSecondOfDay(item.fromSec), separator), displayText(toSecondOfDay(item.toSec), separator)),
  choices: (item) => item.times.map((sec) => ({ ...gearedPose(toSecondOfDay(sec)), numerals: 'all' })),
  taken: (item, acts) =>
    item.times.flatMap((sec, place) =>
      timesRead(toSecondOfDay(sec), acts).some((at) => isRankedBetween(item, at, acts)) ? [[place]] : [],
    ),
  doing: () => ['read', 'rank'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason(item, settings, [key = 0]) {
    const [time, from, to] = [item.times[key] ?? 0, item.fromSec, item.toSec].map((sec) =>
      displayText(toSecondOfDay(sec), settings.separator),
    );
    return [TEXTS[tongueOf(settings)].is(dialLetter(key), time!, from!, to!)];
  },
  make,
  samples: [
    { id: 'sample-ten', kind: 'between-times', fromSec: 35_100, toSec: 38_700, times: [36_900, 34_200, 40_500] },
    { id: 'sample-half', kind: 'between-times', fromSec: 25_200, toSec: 28_800, times: [30_600, 27_000] },
    { id: 'sample-one', kind: 'between-times', fromSec: 43_200, toSec: 46_800, times: [45_000, 41_400, 48_600] },
    { id: 'sample-quarter', kind: 'between-times', fromSec: 31_500, toSec: 35_100, times: [33_300, 29_700] },
  ],
});

const onDial = (sec: number) => sec % SECONDS_PER_HALF_DAY;

/** Whether a time of the dial comes after the first and before the second, going round. */
function isBetween({ fromSec, toSec }: BetweenTimesItem, at: SecondOfDay): boolean {
  const after = onDial(at - fromSec + 2 * SECONDS_PER_HALF_DAY);
  return after > 0 && after < onDial(toSec - fromSec + 2 * SECONDS_PER_HALF_DAY);
}

/** Whether a time lies between to somebody who does the acts so: by where in the day they have the three. */
function isRankedBetween({ fromSec, toSec }: BetweenTimesItem, at: SecondOfDay, acts: Acts): boolean {
  // Over midnight it looks on a dial as it does over noon.
  const start = fromSec < toSec ? fromSec : fromSec - SECONDS_PER_HALF_DAY;
  const end = fromSec < toSec ? toSec : toSec + SECONDS_PER_HALF_DAY;
  const middle = start + onDial(at - start + 2 * SECONDS_PER_HALF_DAY);
  const [first, second, third] = [start, middle, end].map((sec) => acts.rank(wrapSecondOfDay(sec)));
  return (first! < second! && second! < third!) || (first! > second! && second! > third!);
}

const timesRead = (at: SecondOfDay, acts: Acts): SecondOfDay[] =>
  acts
    .read(gearedPose(at))
    .map(timeTyped)
    .filter((time) => time !== null);

/** The others are dials that ideas read as a time between the two. */
function make(id: string, rng: Rng, wanted: RungTimes, settings: LessonSettings): BetweenTimesItem {
  for (const rung of rungsToTry(wanted)) {
    const right = timeOnRung(rung, rng);
    const from = later(right, (-SPAN_MIN / 2) * 60);
    const item = { id, kind: 'between-times' as const, fromSec: from, toSec: later(from, SPAN_MIN * 60), times: [right] };
    const others = new Set<number>();
    for (const idea of shuffled(MISCONCEPTION_IDS, rng)) {
      const wrong = dialsReadAs(typedTime(right), idea, rung.minutes, settings).find((at) => !isBetween(item, at));
      if (wrong !== undefined) others.add(toSecondOfDay(wrong + (right < SECONDS_PER_HALF_DAY ? 0 : SECONDS_PER_HALF_DAY)));
    }
    if (others.size > 0) return { ...item, times: shuffled([right, ...[...others].slice(0, MOST_OTHERS)], rng) };
  }
  throw new CoreError('ITEM_NOT_MADE', 'No such question could be made on this rung.');
}
