import { coherenceOf } from './coherence.js';
import { gearedPose, turnDeg, type Pose } from './pose.js';
import { nearestTime } from './nearest-time.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { minuteDigits } from '../time/display.js';

/** What a free pose amounts to. */
export interface PoseReport {
  readonly possible: boolean;
  /** The nearest time that gears can show, on a whole minute. */
  readonly nearest: SecondOfDay;
  readonly sentence: string;
}

/** Two degrees are what a hand on a classroom clock is off without anybody noticing. */
const TOLERANCE_DEG = 2;

/** Whether a pose can be a time, and if not, why not, in one plain sentence. */
export function reportPose(pose: Pose, toleranceDeg = TOLERANCE_DEG): PoseReport {
  const { hour, minute, residualDeg } = coherenceOf(pose);
  const nearest = nearestTime(pose);
  const whole = Math.round(minute) % 60;
  const digits = `${hour}:${minuteDigits(whole)}`;
  if (residualDeg <= toleranceDeg) return { possible: true, nearest, sentence: `This can be: it is ${digits}.` };
  const early = turnDeg(gearedPose(nearest).hourDeg, pose.hourDeg) < 0;
  const next = (hour % 12) + 1;
  const shouldBe = whole === 0 ? `points at ${hour}` : early ? `has left the ${hour}` : `is not so near to ${next} yet`;
  return { possible: false, nearest, sentence: `This cannot be: ${whenIs(whole)}, the hour hand ${shouldBe}.` };
}

function whenIs(minute: number): string {
  const named: Record<number, string> = { 0: 'at the full hour', 15: 'at quarter past', 30: 'at half past', 45: 'at quarter to' };
  return named[minute] ?? `${minute} ${minute === 1 ? 'minute' : 'minutes'} past the hour`;
}
