import type { Acts } from '../../acts/acts.js';
import { timeTyped } from '../../acts/typed-time.js';
import { gearedPose } from '../../dial/pose.js';
import { isOnRung, timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import { situationsAt } from '../../draft/situations.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import { displayText } from '../../time/display.js';
import { later } from '../../time/duration.js';
import { hour24, secondOfDay, minuteOfHour, SECONDS_PER_HALF_DAY, toSecondOfDay, wrapSecondOfDay } from '../../time/second-of-day.js';
import { choiceKind } from '../choice-kind.js';
import { dialPicture } from '../picture.js';
import type { ItemBase } from '../question-kind.js';
import { inHalfOf } from '../seen-as.js';
import { oneOf } from '../slips.js';
import { TEXTS } from './texts.js';

/** Something is to happen at a time, and a dial shows when somebody is there; the pupil says early, on time or late. */
export interface EarlyLateItem extends ItemBase {
  readonly kind: 'early-late';
  /** What is to happen, as the beginning of a sentence: "The school ferry leaves". */
  readonly event: string;
  /** When it is to happen, and when somebody is there, in seconds since midnight; less than six hours apart. */
  readonly plannedSec: number;
  readonly thereSec: number;
}

const ANSWERS = ['early', 'onTime', 'late'] as const;
/** Differences in minutes: within the same hour and beyond it, so that hour and minutes both count. */
const APART_MIN = [0, -5, 5, -15, 15, -30, 30, -60, 60] as const;
const MOST_DRAWS = 40;

export const earlyLate = choiceKind<'early-late', EarlyLateItem>({
  kind: 'early-late',
  name: 'Early, on time or late',
  thinkSec: 24,
  timesOf: (item) => [toSecondOfDay(item.thereSec)],
  stem: (item, settings) => TEXTS[tongueOf(settings)].stem(item.event, displayText(toSecondOfDay(item.plannedSec), settings.separator)),
  picture: (item) => dialPicture(gearedPose(toSecondOfDay(item.thereSec)), PLAIN_LAYERS),
  choices: (_item, settings) => ANSWERS.map((answer) => ({ text: TEXTS[tongueOf(settings)][answer] })),
  taken: (item, acts) => answersOf(item, acts).map((place) => [place]),
  doing: () => ['read', 'rank'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason(item, settings, [key = 0]) {
    const { is, minutes } = TEXTS[tongueOf(settings)];
    return [is[ANSWERS[key]!](minutes(Math.abs(item.thereSec - item.plannedSec) / 60))];
  },
  make,
  samples: [
    { id: 'sample-early', kind: 'early-late', event: 'The school ferry leaves', plannedSec: 29_700, thereSec: 28_800 },
    { id: 'sample-late', kind: 'early-late', event: 'School begins', plannedSec: 30_600, thereSec: 31_500 },
    { id: 'sample-time', kind: 'early-late', event: 'Choir by video begins', plannedSec: 36_900, thereSec: 36_900 },
    { id: 'sample-hour', kind: 'early-late', event: 'The mail boat comes', plannedSec: 35_100, thereSec: 33_300 },
  ],
});

/** Places among the answers, by the times that somebody reads from the dial. */
function answersOf({ plannedSec, thereSec }: EarlyLateItem, acts: Acts): number[] {
  const planned = toSecondOfDay(plannedSec);
  const read = acts.read(gearedPose(toSecondOfDay(thereSec))).map(timeTyped);
  const places = read.flatMap((time) => {
    if (time === null) return [];
    // The one of its moments that is nearest to the plan: nobody thinks of twelve hours.
    const near = inHalfOf(time, thereSec);
    const shifted = near - planned > 21_600 ? near - SECONDS_PER_HALF_DAY : planned - near > 21_600 ? near + SECONDS_PER_HALF_DAY : near;
    const apart = acts.rank(wrapSecondOfDay(shifted)) - acts.rank(planned);
    return [apart < 0 ? 0 : apart > 0 ? 2 : 1];
  });
  return [...new Set(places)];
}

/** About something that one comes to; drawn until there is such a thing at the planned hour. */
function make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): EarlyLateItem {
  for (;;) {
    const there = secondOfDay(7 + Math.floor(rng() * 12), minuteOfHour(timeOnRung(rung, rng)));
    const apart =
      Array.from({ length: MOST_DRAWS }, () => oneOf(APART_MIN, rng)).find((min) => isOnRung(rung, [later(there, min * 60)])) ?? 0;
    const planned = later(there, apart * 60);
    const [first, ...others] = situationsAt(hour24(planned)).filter(({ isMet }) => isMet);
    if (!first) continue;
    return { id, kind: 'early-late', event: oneOf([first, ...others], rng).says[tongueOf(settings)], plannedSec: planned, thereSec: there };
  }
}
