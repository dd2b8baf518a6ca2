import { timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import { situationsAt, tellsTheHalf } from '../../draft/situations.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import { displayText } from '../../time/display.js';
import { halfOfDay } from '../../time/occurrence.js';
import { hour24, minuteOfHour, secondOfDay, toSecondOfDay } from '../../time/second-of-day.js';
import { isNoonOrMidnight } from '../../words/parts-of-day.js';
import { choiceKind } from '../choice-kind.js';
import type { ItemBase } from '../question-kind.js';
import { oneOf } from '../slips.js';
import { TWELVE_EVENTS } from './night-events.js';
import { TEXTS } from './texts.js';

/** Something happens at a time of the dial; the pupil says in which half of the day. */
export interface HalfOfDayItem extends ItemBase {
  readonly kind: 'half-of-day';
  /** When it happens, in seconds since midnight. */
  readonly timeSec: number;
  /** What happens, as the beginning of a sentence that a time can follow: "The mail boat comes". */
  readonly event: string;
}

const atOf = (item: HalfOfDayItem) => toSecondOfDay(item.timeSec);
const HALVES = ['am', 'pm'] as const;

export const halfOfDayKind = choiceKind<'half-of-day', HalfOfDayItem>({
  kind: 'half-of-day',
  name: 'Before noon or after noon',
  thinkSec: 14,
  timesOf: (item) => [atOf(item)],
  stem: (item, settings) => TEXTS[tongueOf(settings)].stem(item.event, displayText(atOf(item), settings.separator)),
  choices: (_item, settings) => HALVES.map((half) => ({ text: TEXTS[tongueOf(settings)][half] })),
  taken: (item, acts) => acts.half(atOf(item)).map((half) => [HALVES.indexOf(half)]),
  doing: () => ['half'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason: (item, settings) => [TEXTS[tongueOf(settings)][reasonOf(item)]],
  make,
  samples: [
    { id: 'sample-boat', kind: 'half-of-day', timeSec: 36_000, event: 'The mail boat comes' },
    { id: 'sample-lamp', kind: 'half-of-day', timeSec: 70_200, event: 'The lamp at the harbour light is lit' },
    { id: 'sample-night', kind: 'half-of-day', timeSec: 1800, event: 'Everybody on the islands is asleep' },
    { id: 'sample-lunch', kind: 'half-of-day', timeSec: 45_000, event: 'Lunch is on the table' },
  ],
});

/** Noon and midnight are in neither half: nothing is asked about them any more, but old lessons do. */
function reasonOf(item: HalfOfDayItem): 'isAm' | 'isPm' | 'isMidnight' | 'isNoon' {
  const isAm = halfOfDay(atOf(item)) === 'am';
  if (isNoonOrMidnight(atOf(item))) return isAm ? 'isMidnight' : 'isNoon';
  return isAm ? 'isAm' : 'isPm';
}

const MOST_DRAWS = 60;

/** A third of the items lie in the hour of the 12, by day or by night; none is about what could happen in the other half, too. */
function make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): HalfOfDayItem {
  const tongue = tongueOf(settings);
  const pastTwelve = rung.minutes.filter((minute) => minute > 0);
  // Where only full hours are known, the hour of the 12 is noon or midnight itself.
  if (pastTwelve.length === 0 || rng() < 0.67) {
    for (let draw = 0; pastTwelve.length === 0 || draw < MOST_DRAWS; draw++) {
      const at = secondOfDay(6 + Math.floor(rng() * 15), minuteOfHour(timeOnRung(rung, rng)));
      const [first, ...others] = situationsAt(hour24(at)).filter((one) => tellsTheHalf(one, at));
      if (first) return { id, kind: 'half-of-day', timeSec: at, event: oneOf([first, ...others], rng).says[tongue] };
    }
  }
  const { hours, says } = TWELVE_EVENTS[Math.floor(rng() * TWELVE_EVENTS.length)]!;
  return { id, kind: 'half-of-day', timeSec: secondOfDay(hours[0], oneOf(pastTwelve as [number, ...number[]], rng)), event: says[tongue] };
}
