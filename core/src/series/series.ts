import { rungAfter, RUNG_IDS, type RungId } from '../ladder/registry.js';
import type { ClassPlan, IsoDate, PlannedLesson, Series } from './plan.js';
import { countDays, daysThatCount, weekdayOf, type DayRule } from './school-days.js';

const schoolRule = ({ schoolDays, daysOff }: ClassPlan): DayRule => ({ weekdays: schoolDays, off: new Set(daysOff) });

/** All lessons of a plan with their days, those of the series and those beside it, the earliest first. */
export function plannedLessons(plan: ClassPlan): PlannedLesson[] {
  return [...seriesLessons(plan), ...plan.beside].sort((one, other) => (one.date < other.date ? -1 : one.date > other.date ? 1 : 0));
}

/** The lessons of a class's series with the days they fall on: a day off moves it and all after it. */
export function seriesLessons({ series, schoolDays, daysOff }: ClassPlan): PlannedLesson[] {
  if (!series) return [];
  const weekdays = series.weekdays.filter((weekday) => schoolDays.includes(weekday));
  const dates = daysThatCount(series.startsOn, series.lessonIds.length, { weekdays, off: new Set([...daysOff, ...series.skipped]) });
  return dates.map((date, index) => ({ lessonId: series.lessonIds[index]!, date }));
}

/** A day falls out, or is a school day again. */
export function toggleDayOff(plan: ClassPlan, date: IsoDate): ClassPlan {
  return { ...plan, daysOff: toggledDate(plan.daysOff, date) };
}

/** No lesson was held on a day of the series, or one is after all: the rest moves. */
export function toggleSkipped(plan: ClassPlan, date: IsoDate): ClassPlan {
  return withSeries(plan, (series) => ({ ...series, skipped: toggledDate(series.skipped, date) }));
}

/** A lesson some places earlier or later among those of its series. */
export function moveInSeries(plan: ClassPlan, lessonId: string, by: number): ClassPlan {
  return withSeries(plan, (series) => {
    const from = series.lessonIds.indexOf(lessonId);
    const others = series.lessonIds.filter((id) => id !== lessonId);
    const to = Math.max(0, Math.min(others.length, from + by));
    return from < 0 ? series : { ...series, lessonIds: [...others.slice(0, to), lessonId, ...others.slice(to)] };
  });
}

/** The plan without a lesson; those of the series after it move up. A series without lessons is none. */
export function takeOutOfPlan(plan: ClassPlan, lessonId: string): ClassPlan {
  const beside = plan.beside.filter((one) => one.lessonId !== lessonId);
  const without = withSeries({ ...plan, beside }, (series) => ({ ...series, lessonIds: series.lessonIds.filter((id) => id !== lessonId) }));
  return without.series?.lessonIds.length === 0 ? { ...without, series: null } : without;
}

/**
 * A lesson put on a day of its own, beside whatever stands there: no other lesson moves. One of the series leaves its day free.
 * One that is there already stays as it is.
 */
export function putOn(plan: ClassPlan, lessonId: string, date: IsoDate): ClassPlan {
  const known = plannedLessons(plan).find((one) => one.lessonId === lessonId);
  if (known?.date === date) return plan;
  const before = seriesLessons(plan).find((one) => one.lessonId === lessonId);
  const without = takeOutOfPlan(plan, lessonId);
  const free = before ? withSeries(without, (series) => ({ ...series, skipped: [...new Set([...series.skipped, before.date])].sort() })) : without; // prettier-ignore
  return { ...free, beside: [...free.beside, { lessonId, date }] };
}

/** A lesson that a change of the plan moves; null where it was or is not planned. */
export interface MovedLesson {
  readonly lessonId: string;
  readonly from: IsoDate | null;
  readonly to: IsoDate | null;
}

/** Lessons that stand on another day after a change of the plan than before it, in the order of their days then. */
export function movedLessons(before: ClassPlan, after: ClassPlan): MovedLesson[] {
  const [then, now] = [before, after].map((plan) => new Map(plannedLessons(plan).map(({ lessonId, date }) => [lessonId, date]))) as [Map<string, IsoDate>, Map<string, IsoDate>]; // prettier-ignore
  return [...new Set([...now.keys(), ...then.keys()])]
    .map((lessonId) => ({ lessonId, from: then.get(lessonId) ?? null, to: now.get(lessonId) ?? null }))
    .filter(({ from, to }) => from !== to);
}

/** The next school days on which a lesson can be put, from a day on; days off and days without school are none. */
export function schoolDaysFrom(plan: ClassPlan, from: IsoDate, howMany: number): IsoDate[] {
  return daysThatCount(from, howMany, schoolRule(plan));
}

/**
 * Days on which a further lesson can be put, the next ones from a day on: those of the series that goes on, or else any school
 * days.
 */
export function daysToPlan(plan: ClassPlan, today: IsoDate, howMany: number): IsoDate[] {
  const { series, schoolDays, daysOff } = plan;
  const goesOn = series && seriesLessons(plan).some(({ date }) => date >= today);
  const weekdays = goesOn ? series.weekdays.filter((weekday) => schoolDays.includes(weekday)) : schoolDays;
  return daysThatCount(today, howMany, { weekdays, off: new Set([...daysOff, ...(goesOn ? series.skipped : [])]) });
}

/**
 * A lesson put on a day: those that were planned for it and after it move on by one. Where no series goes on that long, it
 * begins a new one on that day; what was given before is remembered without it.
 */
export function planOn(plan: ClassPlan, lessonId: string, date: IsoDate, today: IsoDate): ClassPlan {
  const planned = seriesLessons(plan);
  const { series } = plan;
  if (!series || !planned.some((one) => one.date >= today)) {
    return { ...plan, series: { startsOn: date, weekdays: series?.weekdays ?? [weekdayOf(date)], lessonIds: [lessonId], skipped: [] } };
  }
  const before = planned.filter((one) => one.date < date).map((one) => one.lessonId);
  const after = series.lessonIds.filter((id) => !before.includes(id));
  const goesOn = { ...plan, series: { ...series, lessonIds: [...before, lessonId, ...after] } };
  // Where the day comes after the end of the series, the days between are passed over.
  const falls = seriesLessons(goesOn).find((one) => one.lessonId === lessonId)!.date;
  const rule = { weekdays: series.weekdays, off: new Set([...plan.daysOff, ...series.skipped]) };
  const between = daysThatCount(falls, countDays(falls, date, rule), rule).filter((day) => day < date);
  return withSeries(goesOn, (one) => ({ ...one, skipped: [...one.skipped, ...between].sort() }));
}

/** A lesson that is to be drafted for a series, knowing the one before and after it. */
export interface SeriesWish {
  readonly rung: RungId;
  readonly between: { readonly before: RungId | null; readonly after: RungId | null };
}

/**
 * The lessons of a series that climbs from one rung to another, with some lessons on each.
 * @param perRung lessons on each rung, 1 or more
 * @param before the rung of the lesson before the first; null where none was
 */
export function seriesWishes(from: RungId, to: RungId, perRung: number, before: RungId | null): SeriesWish[] {
  const [first, last] = [RUNG_IDS.indexOf(from), RUNG_IDS.indexOf(to)];
  const rungs = RUNG_IDS.slice(first, Math.max(first, last) + 1).flatMap((rung) => Array<RungId>(perRung).fill(rung));
  return rungs.map((rung, index) => ({
    rung,
    between: { before: index > 0 ? rungs[index - 1]! : before, after: rungs[index + 1] ?? rungAfter(rung) },
  }));
}

/** Which daily card is a school day's, from 1; null on a day without one. */
export function cardOn(plan: ClassPlan, date: IsoDate): number | null {
  const { cards } = plan;
  const rule = schoolRule(plan);
  if (!cards || date < cards.startsOn || countDays(date, date, rule) === 0) return null;
  return countDays(cards.startsOn, date, rule);
}

/** The cards to show on a day: today's and those that were missed, first to last; null where there is none to show. */
export function cardsDue(plan: ClassPlan, today: IsoDate): { readonly since: number; readonly card: number } | null {
  const { cards } = plan;
  if (!cards || today < cards.startsOn) return null;
  // On a day without school the cards up to the last school day may still be caught up.
  const card = countDays(cards.startsOn, today, schoolRule(plan));
  return card > cards.shown ? { since: cards.shown + 1, card } : null;
}

function withSeries(plan: ClassPlan, change: (series: Series) => Series): ClassPlan {
  return plan.series ? { ...plan, series: change(plan.series) } : plan;
}

function toggledDate(dates: readonly IsoDate[], date: IsoDate): readonly IsoDate[] {
  return dates.includes(date) ? dates.filter((one) => one !== date) : [...dates, date].sort();
}
