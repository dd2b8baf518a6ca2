import { wrapDeg } from './pose.js';

/** Where the hour hand is on its way from numeral to numeral. */
export interface HourProgress {
  /** The numeral it has passed, or stands at, 1 to 12. */
  readonly passed: number;
  /** The numeral it comes to, 1 to 12. */
  readonly comesTo: number;
  /** The part of the way that it has gone, 0 ≤ f < 1; 0 exactly at a numeral. */
  readonly part: number;
  readonly sentence: string;
}

const NEAR_DEG = 0.25;

/** The hour hand's progress, as a plain sentence and in numbers. */
export function hourProgress(hourDeg: number): HourProgress {
  const deg = wrapDeg(hourDeg + NEAR_DEG) - NEAR_DEG;
  const passed = Math.floor((deg + NEAR_DEG) / 30) || 12;
  const comesTo = (passed % 12) + 1;
  const part = Math.max(0, deg - (passed % 12) * 30) / 30;
  return { passed, comesTo, part: part < NEAR_DEG / 30 ? 0 : part, sentence: sentenceOf(passed, comesTo, part) };
}

function sentenceOf(passed: number, comesTo: number, part: number): string {
  if (part < NEAR_DEG / 30) return `The hour hand is at ${passed}.`;
  const how = part < 0.2 ? 'has just passed' : part > 0.8 ? 'has long passed' : 'has passed';
  const way =
    Math.abs(part - 0.5) < NEAR_DEG / 30 ? `is half way to ${comesTo}` : part > 0.8 ? `is almost at ${comesTo}` : `comes to ${comesTo}`;
  return `The hour hand ${how} ${passed} and ${way}.`;
}
