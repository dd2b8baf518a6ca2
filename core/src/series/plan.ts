import type { CardPattern } from '../lesson/card-pattern.js';
import type { DayEvent } from './day-events.js';

/** A day of the calendar, such as "2026-11-27": the same day wherever it is read. */
export type IsoDate = string;

/** Days of the week, Monday 1 to Sunday 7. */
export type Weekday = 1 | 2 | 3 | 4 | 5 | 6 | 7;

/** Lessons in order, one on each of its days of the week. When a day falls out, it and all after it move on. */
export interface Series {
  readonly startsOn: IsoDate;
  /** On which days of the week a lesson is given; in order, at least one. */
  readonly weekdays: readonly Weekday[];
  /** The lessons, by id, first to last. */
  readonly lessonIds: readonly string[];
  /** Days on which no lesson was held though it was a school day; in order. */
  readonly skipped: readonly IsoDate[];
}

/** A lesson on a day. */
export interface PlannedLesson {
  /** By id. */
  readonly lessonId: string;
  readonly date: IsoDate;
}

/** One time a day in a pattern. */
export interface DailyCards {
  readonly pattern: CardPattern;
  /** The school day of card 1. */
  readonly startsOn: IsoDate;
  /** The last card that the class was shown; 0 for none. */
  readonly shown: number;
}

/** When lessons begin on a day of the week. */
export interface LessonTime {
  readonly weekday: Weekday;
  /** Whole minutes, in seconds since midnight. */
  readonly atSec: number;
}

/** What is planned for a class: its school days, its lessons to come, its daily cards and what its days are like. */
export interface ClassPlan {
  readonly schoolDays: readonly Weekday[];
  /** School days that fall out; in order. */
  readonly daysOff: readonly IsoDate[];
  readonly series: Series | null;
  /** Lessons that stand on a day of their own, beside the series: nothing moves them and they move nothing. */
  readonly beside: readonly PlannedLesson[];
  readonly cards: DailyCards | null;
  /** When lessons begin, by day of the week; in order, days without a time are none. */
  readonly times: readonly LessonTime[];
  /** The class's own daily times, for lessons that are drafted. */
  readonly daily: readonly DayEvent[];
}

/** A class for which nothing is planned yet; school is from Monday to Friday. */
export const NEW_PLAN: ClassPlan = {
  schoolDays: [1, 2, 3, 4, 5],
  daysOff: [],
  series: null,
  beside: [],
  times: [],
  cards: null,
  daily: [],
};
