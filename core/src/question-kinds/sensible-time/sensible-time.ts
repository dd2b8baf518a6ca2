import { timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import { isNever, SITUATIONS, tellsTheHalf } from '../../draft/situations.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import type { Acts } from '../../acts/acts.js';
import type { Rng } from '../../random/rng.js';
import { displayText24 } from '../../time/display.js';
import { inHalf } from '../../time/occurrence.js';
import { hour24, minuteOfHour, secondOfDay, toSecondOfDay, wrapSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { choiceKind } from '../choice-kind.js';
import { withDayPart } from '../kind-talk.js';
import type { ItemBase } from '../question-kind.js';
import { shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** Something of the day; the pupil takes the time at which it makes sense. */
export interface SensibleTimeItem extends ItemBase {
  readonly kind: 'sensible-time';
  /** What happens, in a few words: "The lamp at the harbour light is lit". */
  readonly event: string;
  /** The hours of the day in which it makes sense, 0 to 23, both included. */
  readonly fromHour: number;
  readonly toHour: number;
  /** Two to four times in seconds since midnight, in the order they stand; one of them makes sense. */
  readonly times: readonly number[];
  /** How the times are written: with the part of the day, or as a 24-hour display has them. */
  readonly as: 'day-part' | 'of-24';
}

const isWithin = ({ fromHour, toHour }: SensibleTimeItem, at: SecondOfDay) => hour24(at) >= fromHour && hour24(at) <= toHour;

export const sensibleTime = choiceKind<'sensible-time', SensibleTimeItem>({
  kind: 'sensible-time',
  name: 'A sensible time for it',
  thinkSec: 16,
  timesOf: (item) => item.times.map(toSecondOfDay).filter((at) => isWithin(item, at)),
  stem: (item, settings) => TEXTS[tongueOf(settings)].stem(item.event),
  choices: (item, settings) => item.times.map((sec) => ({ text: written(item, toSecondOfDay(sec), settings) })),
  taken: (item, acts) => {
    const fitting = item.times.flatMap((sec, place) =>
      momentsMeant(item, toSecondOfDay(sec), acts).some((at) => isWithin(item, at)) ? [[place]] : [],
    );
    return fitting;
  },
  doing: (item) => (item.as === 'of-24' ? ['to12', 'half'] : ['half']),
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason: (item, settings, [key = 0]) => [TEXTS[tongueOf(settings)].sense(written(item, toSecondOfDay(item.times[key] ?? 0), settings))],
  make,
  samples: [
    {
      id: 'sample-lamp',
      kind: 'sensible-time',
      event: 'The lamp at the harbour light is lit',
      fromHour: 19,
      toHour: 20,
      times: [70_200, 27_000],
      as: 'day-part',
    },
    {
      id: 'sample-bread',
      kind: 'sensible-time',
      event: 'The bakery boat brings the bread',
      fromHour: 8,
      toHour: 10,
      times: [75_600, 32_400],
      as: 'day-part',
    },
    {
      id: 'sample-lunch',
      kind: 'sensible-time',
      event: 'Lunch is on the table',
      fromHour: 12,
      toHour: 13,
      times: [1800, 45_000],
      as: 'day-part',
    },
    {
      id: 'sample-of-24',
      kind: 'sensible-time',
      event: 'Supper is ready',
      fromHour: 18,
      toHour: 19,
      times: [64_800, 21_600, 57_600],
      as: 'of-24',
    },
  ],
});

/** The moments that a written time stands for, to somebody who does the acts so. */
function momentsMeant({ as }: SensibleTimeItem, at: SecondOfDay, acts: Acts): SecondOfDay[] {
  if (as === 'day-part') return acts.half(at).map((half) => inHalf(at, half));
  // Turned into a time of 12 hours first, in the half of the day that they take it for.
  return acts.to12(at).flatMap(({ hour }) => {
    const onDial = secondOfDay(Number(hour) % 12, minuteOfHour(at));
    return acts.half(at).map((half) => inHalf(onDial, half));
  });
}

const written = ({ as }: SensibleTimeItem, at: SecondOfDay, settings: LessonSettings): string =>
  as === 'of-24' ? displayText24(at, settings.separator) : withDayPart(at, settings);

/**
 * Beside the sensible time the same one in the other half of the day, and on 24 hours what ten instead of twelve makes of it:
 * only what nobody would defend.
 */
function make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): SensibleTimeItem {
  const of24 = rung.kinds.includes('convert-24');
  for (;;) {
    const situation = SITUATIONS[Math.floor(rng() * SITUATIONS.length)]!;
    const [fromHour, toHour] = situation.hours;
    const minute = minuteOfHour(timeOnRung(rung, rng));
    const right = secondOfDay(fromHour + Math.floor(rng() * (toHour - fromHour + 1)), minute);
    if (!tellsTheHalf(situation, right)) continue;
    const minusTen = wrapSecondOfDay(right - 7200);
    const others = [wrapSecondOfDay(right + 43_200), ...(of24 && isNever(situation, minusTen) ? [minusTen] : [])];
    return {
      id,
      kind: 'sensible-time',
      event: situation.says[tongueOf(settings)],
      fromHour,
      toHour,
      times: shuffled([right, ...others], rng),
      as: of24 ? 'of-24' : 'day-part',
    };
  }
}
