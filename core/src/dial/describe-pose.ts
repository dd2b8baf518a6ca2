import type { Pose } from './pose.js';
import { turnDeg, wrapDeg } from './pose.js';

/** Where one hand points, in words a screen reader can speak: "at 6", "between 4 and 5". */
export function describeHand(deg: number): string {
  const numeral = Math.round(wrapDeg(deg) / 30);
  if (Math.abs(turnDeg(numeral * 30, deg)) < 1) return `at ${numeral % 12 || 12}`;
  const before = Math.floor(wrapDeg(deg) / 30);
  return `between ${before || 12} and ${before + 1}`;
}

/** Which minute tick the minute hand points at, in words; "at 6" where it stands on a numeral. */
function describeMinuteHand(deg: number): string {
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
