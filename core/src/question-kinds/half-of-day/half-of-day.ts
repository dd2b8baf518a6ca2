import { timeOnRung, type Rung } from '../../ladder/rung.js';
import { situationsAt } from '../../lesson/draft/situations.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../lesson/talk/registry.js';
import type { Rng } from '../../rehearsal/rng.js';
import { displayText } from '../../time/display.js';
import { halfOfDay } from '../../time/occurrence.js';
import { hour24, minuteOfHour, secondOfDay, toSecondOfDay } from '../../time/second-of-day.js';
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
  reason: (item, settings) => [TEXTS[tongueOf(settings)][halfOfDay(atOf(item)) === 'am' ? 'isAm' : 'isPm']],
  make,
  samples: [
    { id: 'sample-boat', kind: 'half-of-day', timeSec: 36_000, event: 'The mail boat comes' },
    { id: 'sample-lamp', kind: 'half-of-day', timeSec: 70_200, event: 'The lamp at the harbour light is lit' },
    { id: 'sample-night', kind: 'half-of-day', timeSec: 1800, event: 'Everybody on the islands is asleep' },
    { id: 'sample-lunch', kind: 'half-of-day', timeSec: 45_000, event: 'Lunch is on the table' },
  ],
});

/** A third of the items lie in the hour of the 12, by day or by night. */
function make(id: string, rng: Rng, rung: Rung, settings: LessonSettings): HalfOfDayItem {
  const tongue = tongueOf(settings);
  const minute = minuteOfHour(timeOnRung(rung, rng));
  if (rng() < 0.33) {
    const { hours, says } = TWELVE_EVENTS[Math.floor(rng() * TWELVE_EVENTS.length)]!;
    return { id, kind: 'half-of-day', timeSec: secondOfDay(hours[0], minute), event: says[tongue] };
  }
  const at = secondOfDay(6 + Math.floor(rng() * 15), minute);
  const [first, ...others] = situationsAt(hour24(at));
  const event = first ? oneOf([first, ...others], rng).says[tongue] : TWELVE_EVENTS[0]!.says[tongue];
  return { id, kind: 'half-of-day', timeSec: first ? at : secondOfDay(0, minute), event };
}
