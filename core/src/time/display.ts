import type { SecondOfDay } from './second-of-day.js';
import { hour12, hour24, minuteOfHour } from './second-of-day.js';

/** What stands between hours and minutes on a digital display: a regional choice of the lesson. */
export type DisplaySeparator = ':' | '.';

/** The two-digit minutes of a display: 5 gives "05". */
export function minuteDigits(minute: number): string {
  return String(minute).padStart(2, '0');
}

/**
 * A time as a 12-hour display shows it, without a leading zero.
 * @example displayText(secondOfDay(16, 5)) // "4:05"
 */
export function displayText(at: SecondOfDay, separator: DisplaySeparator = ':'): string {
  return `${hour12(at)}${separator}${minuteDigits(minuteOfHour(at))}`;
}

/**
 * A time as a 24-hour display shows it.
 * @example displayText24(secondOfDay(4, 5)) // "04:05"
 */
export function displayText24(at: SecondOfDay, separator: DisplaySeparator = ':'): string {
  return `${String(hour24(at)).padStart(2, '0')}${separator}${minuteDigits(minuteOfHour(at))}`;
}
