import type { Pose } from './pose.js';
import { turnDeg, wrapDeg } from './pose.js';

/** Degrees within which a hand is at its numeral: half a minute of the hour hand. */
const AT_DEG = 0.25;
/** Degrees from a numeral that are "just past" or "almost at" it: four minutes of the hour hand. */
const CLOSE_DEG = 2.25;

/** Where one hand points: at a numeral, just past it, almost at it, or between it and the next. */
export function placeOfHand(deg: number): { readonly how: 'at' | 'past' | 'almost' | 'between'; readonly numeral: number } {
  const nearest = Math.round(wrapDeg(deg) / 30) % 12 || 12;
  const pastDeg = turnDeg(nearest * 30, deg);
  if (Math.abs(pastDeg) < AT_DEG) return { how: 'at', numeral: nearest };
  if (Math.abs(pastDeg) < CLOSE_DEG) return { how: pastDeg > 0 ? 'past' : 'almost', numeral: nearest };
  return { how: 'between', numeral: Math.floor(wrapDeg(deg) / 30) || 12 };
}

/** Where one hand points, in words a screen reader can speak: "at 6", "just past 6", "between 4 and 5", "almost at 5". */
export function describeHand(deg: number): string {
  const { how, numeral } = placeOfHand(deg);
  return {
    at: `at ${numeral}`,
    past: `just past ${numeral}`,
    almost: `almost at ${numeral}`,
    between: `between ${numeral} and ${(numeral % 12) + 1}`,
  }[how];
}

/** Which minute tick the minute hand points at, in words; "at 6" where it stands on a numeral. */
export function describeMinuteHand(deg: number): string {
  const tick = Math.round(wrapDeg(deg) / 6) % 60;
  if (tick % 5 === 0) return `at ${tick / 5 || 12}`;
  const past = tick % 5;
  const numeral = Math.floor(tick / 5) || 12;
  return `${past} ${past === 1 ? 'tick' : 'ticks'} after ${numeral}`;
}

/** The picture of a dial in words, without reading the time: what somebody sees, not what it means. */
export function describePose(pose: Pose): string {
  return `The short hour hand points ${describeHand(pose.hourDeg)}. The long minute hand points ${describeMinuteHand(pose.minuteDeg)}.`;
}
