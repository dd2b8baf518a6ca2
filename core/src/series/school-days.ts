import { DateTime } from 'luxon';
import type { IsoDate, Weekday } from './plan.js';

/** Which days count: some days of the week, without those that fall out. */
export interface DayRule {
  readonly weekdays: readonly Weekday[];
  readonly off: ReadonlySet<IsoDate>;
}

/** Whoever plans further than this has mistyped: five years in days. */
const FARTHEST_DAYS = 1830;

// Without a zone of its own a day begins and ends elsewhere: all counting is done in one.
const day = (date: IsoDate): DateTime => DateTime.fromISO(date, { zone: 'utc' });
const isoOf = (at: DateTime): IsoDate => at.toISODate()!;

/** The day that a moment falls on where this device is. @param ms since 1970 */
export function dayOf(ms: number): IsoDate {
  return isoOf(DateTime.fromMillis(ms));
}

/** Whether a text is a day of the calendar: "2026-02-30" is none. */
export function isIsoDate(text: string): text is IsoDate {
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && day(text).isValid;
}

/** The day some days later, or before with a negative number. */
export function daysOn(date: IsoDate, days: number): IsoDate {
  return isoOf(day(date).plus({ days }));
}

/** A day as it is read: "Thursday 26 November". */
export function dayWords(date: IsoDate): string {
  return day(date).setLocale('en-GB').toFormat('cccc d LLLL');
}

/** The Monday of a day's week. */
export function mondayOf(date: IsoDate): IsoDate {
  return daysOn(date, 1 - weekdayOf(date));
}

export function weekdayOf(date: IsoDate): Weekday {
  return day(date).weekday as Weekday;
}

/** Whether a day counts by a rule. */
export function counts(date: IsoDate, { weekdays, off }: DayRule): boolean {
  return weekdays.includes(weekdayOf(date)) && !off.has(date);
}

/**
 * The first days that count, from a day on, itself included; fewer where days off without end leave no more.
 * @param howMany 0 or more
 */
export function daysThatCount(from: IsoDate, howMany: number, rule: DayRule): IsoDate[] {
  const found: IsoDate[] = [];
  for (let [date, tries] = [from, 0]; found.length < howMany && tries < FARTHEST_DAYS; tries++, date = daysOn(date, 1)) {
    if (counts(date, rule)) found.push(date);
  }
  return found;
}

/** How many days count from one day to another, both included; 0 where the other comes first. */
export function countDays(from: IsoDate, to: IsoDate, rule: DayRule): number {
  let number = 0;
  for (let [date, tries] = [from, 0]; date <= to && tries < FARTHEST_DAYS; tries++, date = daysOn(date, 1)) {
    if (counts(date, rule)) number++;
  }
  return number;
}
