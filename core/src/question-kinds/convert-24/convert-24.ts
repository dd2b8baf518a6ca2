import { typedTime } from '../../acts/typed-time.js';
import { timeOnRung } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import { displayText24, minuteDigits } from '../../time/display.js';
import { hour12, hour24, minuteOfHour, toSecondOfDay } from '../../time/second-of-day.js';
import { partOfDay } from '../../words/parts-of-day.js';
import { withDayPart } from '../kind-talk.js';
import type { ItemBase } from '../question-kind.js';
import { written } from '../seen-as.js';
import { judgeTime } from '../shapes/time.js';
import { oneOf } from '../slips.js';
import { timeKind } from '../time-kind.js';
import { TEXTS } from './texts.js';

/** A time of 12 hours with its part of the day is written on a 24-hour display, or the other way round. */
export interface Convert24Item extends ItemBase {
  readonly kind: 'convert-24';
  /** The time, in seconds since midnight. */
  readonly timeSec: number;
  readonly to: '12' | '24';
}

const atOf = (item: Convert24Item) => toSecondOfDay(item.timeSec);
const of24 = (item: Convert24Item) => String(hour24(atOf(item))).padStart(2, '0');

export const convert24 = timeKind<'convert-24', Convert24Item>({
  kind: 'convert-24',
  name: '12 and 24 hours',
  thinkSec: 20,
  form: 'of-24',
  at: atOf,
  key: (item) => (item.to === '24' ? { hour: of24(item), minute: minuteDigits(minuteOfHour(atOf(item))) } : typedTime(atOf(item))),
  timesOf: (item) => [atOf(item)],
  stem(item, settings) {
    const text = TEXTS[tongueOf(settings)];
    return item.to === '24' ? text.to24(withDayPart(atOf(item), settings)) : text.to12(displayText24(atOf(item), settings.separator));
  },
  typed: (item, acts) => written(item.to === '24' ? acts.to24(atOf(item)) : acts.to12(atOf(item)), acts),
  judge(item, given) {
    if (item.to === '24') return judgeTime(atOf(item), given, 'of-24');
    // What was given is no answer yet: an hour above 12 is not written as a display of 12 hours has it.
    return Number(given.hour) > 12 || Number(given.hour || NaN) === 0
      ? judgeTime(atOf(item), { ...given, hour: '99' }, 'of-24')
      : judgeTime(atOf(item), given, 'dial');
  },
  doing: (item) => [item.to === '24' ? 'to24' : 'to12', 'digits'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  lookAgain: (_item, part, settings) => TEXTS[tongueOf(settings)][part === 'hour' ? 'lookAt' : 'sameMinutes'],
  reason: (item, settings) => [reasonOf(item, settings)],
  make: (id, rng, rung) => ({ id, kind: 'convert-24', timeSec: timeOnRung(rung, rng), to: oneOf(['12', '24'], rng) }),
  samples: [54_000, 27_000, 1800, 45_900, 82_800, 36_300].flatMap((timeSec, index) =>
    (['12', '24'] as const).map((to) => ({ id: `sample-${index}-${to}`, kind: 'convert-24' as const, timeSec, to })),
  ),
});

/** The way the question goes: on to 24 hours, or back to twelve. */
function reasonOf(item: Convert24Item, settings: LessonSettings): string {
  const text = TEXTS[tongueOf(settings)];
  const at = atOf(item);
  const [of12, hour] = [hour12(at), hour24(at)];
  const way = item.to === '24' ? text.on : text.back;
  if (hour === 0) return way.midnight;
  if (hour === 12) return way.noon;
  return hour < 12 ? way.before(of12, of24(item)) : way.after(of12, hour, partOfDay(at, tongueOf(settings)).words);
}
