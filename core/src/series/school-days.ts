import type { IsoDate, Weekday } from './plan.js';

/** Which days count: some days of the week, without those that fall out. */
export interface DayRule {
  readonly weekdays: readonly Weekday[];
  readonly off: ReadonlySet<IsoDate>;
}

/** Whoever plans further than this has mistyped: five years in days. */
const FARTHEST_DAYS = 1830;

const DAY_MS = 86_400_000;

// Days are counted in one zone that has no summer time: each is as long as the next there, whatever the device's own does.
const msOf = (date: string): number => Date.parse(`${date}T00:00:00Z`);
const isoOf = (ms: number): IsoDate => new Date(ms).toISOString().slice(0, 10);

const WORDS = new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', weekday: 'long', day: 'numeric', month: 'long' });

/** The day that a moment falls on where this device is. @param ms since 1970 */
export function dayOf(ms: number): IsoDate {
  const here = new Date(ms);
  return isoOf(Date.UTC(here.getFullYear(), here.getMonth(), here.getDate()));
}

/** Whether a text is a day of the calendar: "2026-02-30" is none. */
export function isIsoDate(text: string): text is IsoDate {
  // "2026-02-30" may be read as a day in March: only what is written again as it came is a day.
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(msOf(text)) && isoOf(msOf(text)) === text;
}

/** The day some days later, or before with a negative number. */
export function daysOn(date: IsoDate, days: number): IsoDate {
  return isoOf(msOf(date) + days * DAY_MS);
}

/** A day as it is read: "Thursday 26 November". */
export function dayWords(date: IsoDate): string {
  const part = Object.fromEntries(WORDS.formatToParts(msOf(date)).map(({ type, value }) => [type, value]));
  return `${part['weekday']} ${part['day']} ${part['month']}`;
}

/** The Monday of a day's week. */
export function mondayOf(date: IsoDate): IsoDate {
  return daysOn(date, 1 - weekdayOf(date));
}

export function weekdayOf(date: IsoDate): Weekday {
  return (new Date(msOf(date)).getUTCDay() || 7) as Weekday;
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
