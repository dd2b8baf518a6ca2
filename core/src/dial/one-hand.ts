import { wrapDeg } from './pose.js';

/** What the hour hand alone tells: about what time it is, and how surely. */
export interface HourHandReading {
  /** Minutes after 12 o'clock, 0 ≤ m < 720. */
  readonly minuteOf12: number;
  /** Minutes that the time may be off either way. */
  readonly spreadMin: number;
}

/**
 * Reads the time from the hour hand alone. A degree of the hour hand is two minutes, so a small error of the eye is minutes.
 * @param errorDeg how far the eye may be off, in degrees; 2 when absent
 */
export function readHourHand(hourDeg: number, errorDeg = 2): HourHandReading {
  return { minuteOf12: wrapDeg(hourDeg) * 2, spreadMin: errorDeg * 2 };
}

/** What the minute hand alone allows: the same minute in each of twelve hours, in minutes after 12 o'clock. */
export function readMinuteHand(minuteDeg: number): number[] {
  const minute = wrapDeg(minuteDeg) / 6;
  return Array.from({ length: 12 }, (_, hour) => hour * 60 + minute);
}
