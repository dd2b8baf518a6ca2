import type { SecondOfDay } from './second-of-day.js';
import { wrapSecondOfDay } from './second-of-day.js';

/** The moment some whole seconds later, or earlier when negative, wrapped at midnight. */
export function later(at: SecondOfDay, bySec: number): SecondOfDay {
  return wrapSecondOfDay(at + bySec);
}

/**
 * A duration in words: hours and minutes, never a hundred of anything.
 * @param seconds whole seconds, 0 or more
 * @example durationText(5400) // "1 hour 30 minutes"
 */
export function durationText(seconds: number): string {
  const parts = [
    [Math.floor(seconds / 3600), 'hour'],
    [Math.floor(seconds / 60) % 60, 'minute'],
    [seconds % 60, 'second'],
  ] as const;
  const said = parts.filter(([count]) => count > 0).map(([count, unit]) => `${count} ${unit}${count === 1 ? '' : 's'}`);
  return said.join(' ') || '0 minutes';
}
