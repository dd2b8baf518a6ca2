import type { SecondOfDay } from './second-of-day.js';
import { SECONDS_PER_DAY, SECONDS_PER_HALF_DAY, wrapSecondOfDay } from './second-of-day.js';

export type HalfOfDay = 'am' | 'pm';

/** The half of the day: midnight begins the first, noon the second. */
export function halfOfDay(at: SecondOfDay): HalfOfDay {
  return at < SECONDS_PER_HALF_DAY ? 'am' : 'pm';
}

/** The moment that a 12-hour dial shows in the same way in a given half of the day. */
export function inHalf(at: SecondOfDay, half: HalfOfDay): SecondOfDay {
  return ((at % SECONDS_PER_HALF_DAY) + (half === 'pm' ? SECONDS_PER_HALF_DAY : 0)) as SecondOfDay;
}

/** Seconds from one moment on to the next time the clock shows another, 0 up to but not including a day. */
export function secondsUntil(from: SecondOfDay, to: SecondOfDay): number {
  return (to - from + SECONDS_PER_DAY) % SECONDS_PER_DAY;
}

/**
 * When a 12-hour dial shows a time next, at or after a moment: at most half a day later.
 * @example nextOnDial(secondOfDay(7, 45), secondOfDay(14, 0)) // 19:45
 */
export function nextOnDial(shown: SecondOfDay, after: SecondOfDay): SecondOfDay {
  const wait = (((shown - after) % SECONDS_PER_HALF_DAY) + SECONDS_PER_HALF_DAY) % SECONDS_PER_HALF_DAY;
  return wrapSecondOfDay(after + wait);
}

/** When a 12-hour dial showed a time last, at or before a moment. */
export function lastOnDial(shown: SecondOfDay, before: SecondOfDay): SecondOfDay {
  const since = (((before - shown) % SECONDS_PER_HALF_DAY) + SECONDS_PER_HALF_DAY) % SECONDS_PER_HALF_DAY;
  return wrapSecondOfDay(before - since);
}

/** Orders moments within a day, earliest first; for `sort`. */
export function earlierFirst(a: SecondOfDay, b: SecondOfDay): number {
  return a - b;
}
