import type { Pose } from './pose.js';
import { turnDeg, wrapDeg } from './pose.js';

/** How far the two hands of a free pose agree, and the time they come nearest to. */
export interface Coherence {
  /** Minutes the minute hand is ahead of what the hour hand implies, −30 < gap ≤ 30. */
  readonly gapMin: number;
  /** Degrees between the hour hand and where the best reading would have it, 0 to 15. */
  readonly residualDeg: number;
  /** Hour of the best reading, 1 to 12. */
  readonly hour: number;
  /** Minutes of the best reading, 0 ≤ m < 60, with fractions. */
  readonly minute: number;
}

/**
 * Compares the hands of a pose. The hour hand implies the minute 2·(H mod 30), the minute hand says M/6; the best reading
 * is the hour h with the smallest circular distance |H − (30·h + M/12)|.
 */
export function coherenceOf(pose: Pose): Coherence {
  const minute = wrapDeg(pose.minuteDeg) / 6;
  const implied = 2 * (wrapDeg(pose.hourDeg) % 30);
  const gap = (((minute - implied) % 60) + 60) % 60;
  const withinHourDeg = wrapDeg(pose.minuteDeg) / 12;
  const hour = ((Math.round((pose.hourDeg - withinHourDeg) / 30) % 12) + 12) % 12;
  return {
    gapMin: gap > 30 ? gap - 60 : gap,
    residualDeg: Math.abs(turnDeg(30 * hour + withinHourDeg, pose.hourDeg)),
    hour: hour || 12,
    minute,
  };
}

/**
 * How many degrees the hour hand of a set dial may be off the place that belongs to its minutes, most lenient first; half
 * the way between two numerals are 15. Source: the lesson's school.
 */
export const STRICTNESS = {
  /** On the right hour's side: between its numeral and the next, and nearer to its place than to any other hour's. */
  'right-side': 12,
  /** In proportion to the minutes. */
  proportion: 8,
  exact: 3,
} as const;

export type Strictness = keyof typeof STRICTNESS;
