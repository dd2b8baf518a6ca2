import type { ClassPlan, IsoDate } from '@zeitpunkt/core/series/plan';
import { plannedLessons, schoolDaysFrom } from '@zeitpunkt/core/series/series';
import { longDay } from '../words/days';
import { PLAN_WORDS } from './words';

/** A day on which a lesson can be put, with what stands there already. */
export interface DayChoice {
  /** Of which class, where there is a choice. */
  readonly classId?: string;
  readonly date: IsoDate;
  /** "Friday 4 December". */
  readonly day: string;
  /** "beside “Any minute”"; empty where the day is free. */
  readonly beside: string;
}

/** Two weeks and a day of school. */
const DAYS = 11;

/** The next school days of a class. @param titleOf of a lesson by its id; null for one that is not there any more */
export function dayChoices(plan: ClassPlan, from: IsoDate, titleOf: (id: string) => string | null): readonly DayChoice[] {
  const planned = plannedLessons(plan);
  return schoolDaysFrom(plan, from, DAYS).map((date) => {
    const there = planned.flatMap((one) => (one.date === date ? (titleOf(one.lessonId) ?? []) : []));
    return { date, day: longDay(date), beside: there.length > 0 ? PLAN_WORDS().beside(there) : '' };
  });
}
