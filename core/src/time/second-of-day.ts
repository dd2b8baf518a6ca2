import { CoreError } from '../errors.js';

/** Whole seconds since midnight, 0 to 86,399. Made by {@link secondOfDay} or {@link toSecondOfDay} only. */
export type SecondOfDay = number & { readonly __unit: 'second of day' };

export const SECONDS_PER_DAY = 86_400;
export const SECONDS_PER_HALF_DAY = 43_200;

/**
 * The moment of the day at a 24-hour time.
 * @param hour24 whole hour, 0 to 23
 * @param minute whole minute, 0 to 59
 * @throws CoreError TIME_HOUR_RANGE or TIME_MINUTE_RANGE
 * @example secondOfDay(16, 30) // 59400
 */
export function secondOfDay(hour24: number, minute: number): SecondOfDay {
  if (!Number.isInteger(hour24) || hour24 < 0 || hour24 > 23) {
    throw new CoreError('TIME_HOUR_RANGE', `An hour must be a whole number from 0 to 23, but ${hour24} came.`, { hour24 });
  }
  if (!Number.isInteger(minute) || minute < 0 || minute > 59) {
    throw new CoreError('TIME_MINUTE_RANGE', `A minute must be a whole number from 0 to 59, but ${minute} came.`, { minute });
  }
  return (hour24 * 3600 + minute * 60) as SecondOfDay;
}

/**
 * Checks a raw number once, so that the type carries the promise from here on.
 * @throws CoreError TIME_SECOND_RANGE
 */
export function toSecondOfDay(raw: number): SecondOfDay {
  if (!Number.isInteger(raw) || raw < 0 || raw >= SECONDS_PER_DAY) {
    throw new CoreError('TIME_SECOND_RANGE', `A time must be a whole second from 0 to 86,399, but ${raw} came.`, { raw });
  }
  return raw as SecondOfDay;
}

/** Any number of seconds, rounded and wrapped at midnight: −60 becomes 23:59. */
export function wrapSecondOfDay(seconds: number): SecondOfDay {
  const whole = Math.round(seconds);
  return (((whole % SECONDS_PER_DAY) + SECONDS_PER_DAY) % SECONDS_PER_DAY) as SecondOfDay;
}

/** The hour a 12-hour dial names at this moment, 1 to 12 (0:30 and 12:30 give 12). */
export function hour12(at: SecondOfDay): number {
  return onDial(hour24(at));
}

/** The numeral of an hour of 24, 1 to 12: 0, 12 and 24 give 12, 19 gives 7. */
export function onDial(hour: number): number {
  return hour % 12 || 12;
}

/** The hour on a 24-hour display, 0 to 23. */
export function hour24(at: SecondOfDay): number {
  return Math.floor(at / 3600);
}

/** Whole minutes past the hour, 0 to 59. */
export function minuteOfHour(at: SecondOfDay): number {
  return Math.floor(at / 60) % 60;
}

/** Whole seconds past the minute, 0 to 59. */
export function secondOfMinute(at: SecondOfDay): number {
  return at % 60;
}

/** The hour on the dial after a given one, 1 to 12: after 12 comes 1. */
export function nextHour12(hour: number): number {
  return (hour % 12) + 1;
}

/** The hour on the dial before a given one, 1 to 12: before 1 comes 12. */
export function previousHour12(hour: number): number {
  return ((hour + 10) % 12) + 1;
}
