import type { IsoDate, Weekday } from '@zeitpunkt/core/series/plan';
import { daysOn } from '@zeitpunkt/core/series/school-days';
import { displayText } from '@zeitpunkt/core/time/display';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { locale } from './language';

/** Days are counted in one zone, so that none begins elsewhere. */
const at = (date: IsoDate) => new Date(`${date}T12:00:00Z`);
const written = (date: IsoDate, options: Intl.DateTimeFormatOptions) =>
  new Intl.DateTimeFormat(locale(), { ...options, timeZone: 'UTC' }).format(at(date)).replace(',', '');

/** "Monday 30 November". */
export const longDay = (date: IsoDate): string => written(date, { weekday: 'long', day: 'numeric', month: 'long' });
/** "Mon 30 Nov". */
export const shortDay = (date: IsoDate): string => written(date, { weekday: 'short', day: 'numeric', month: 'short' });
/** "30 Nov". */
export const dayAndMonth = (date: IsoDate): string => written(date, { day: 'numeric', month: 'short' });
/** "30 November 2027". */
export const dayInYear = (date: IsoDate): string => written(date, { day: 'numeric', month: 'long', year: 'numeric' });
/** "Monday". */
export const weekday = (date: IsoDate): string => written(date, { weekday: 'long' });
/** "Mon". */
export const shortWeekday = (date: IsoDate): string => written(date, { weekday: 'short' });

/** Any day that is this day of the week, so that it can be named. */
export const dayNamed = (day: Weekday): IsoDate => daysOn('2026-11-30', day - 1);

/** A time of the school day as a timetable has it: "9:40", "14:05". @param at seconds since midnight */
export function clockTime(at: number): string {
  const [hour, minute] = [Math.floor(at / 3600), Math.floor(at / 60) % 60];
  return `${hour}:${String(minute).padStart(2, '0')}`;
}

/** A moment as a time of the day here: "8:52". @param ms since 1970 */
export function clockOf(ms: number): string {
  const date = new Date(ms);
  return clockTime(date.getHours() * 3600 + date.getMinutes() * 60);
}

/** A time of a lesson as a dial shows it: "2:45". */
export const dialTime = (second: number): string => displayText(toSecondOfDay(second), ':');
