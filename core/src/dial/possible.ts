import { coherenceOf } from './coherence.js';
import { gearedPose, turnDeg, type Pose } from './pose.js';
import { nearestTime } from './nearest-time.js';
import { hour12, minuteOfHour, nextHour12, type SecondOfDay } from '../time/second-of-day.js';
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
  const { residualDeg } = coherenceOf(pose);
  const nearest = nearestTime(pose);
  const minute = minuteOfHour(nearest);
  if (residualDeg <= toleranceDeg) {
    return { possible: true, nearest, sentence: `This can be: it is ${hour12(nearest)}:${minuteDigits(minute)}.` };
  }
  const shouldBe = placeOf(gearedPose(nearest).hourDeg, minute);
  const isEarly = turnDeg(gearedPose(nearest).hourDeg, pose.hourDeg) < 0;
  const here = isEarly ? 'here it has not gone so far' : 'here it has gone further';
  return { possible: false, nearest, sentence: `This cannot be: ${whenIs(minute)}, the hour hand ${shouldBe}; ${here}.` };
}

/** Where the gears have the hour hand, as a child can see it. */
function placeOf(hourDeg: number, minute: number): string {
  const hour = Math.floor(hourDeg / 30) || 12;
  const next = nextHour12(hour);
  if (minute === 0) return `points exactly at the ${hour}`;
  if (minute === 30) return `is half way from the ${hour} to the ${next}`;
  if (minute < 10) return `is a little past the ${hour}`;
  if (minute > 50) return `is close to the ${next}`;
  return `is ${minute < 30 ? 'less' : 'more'} than half way from the ${hour} to the ${next}`;
}

function whenIs(minute: number): string {
  const named: Record<number, string> = { 0: 'at the full hour', 15: 'at quarter past', 30: 'at half past', 45: 'at quarter to' };
  return named[minute] ?? `${minute} ${minute === 1 ? 'minute' : 'minutes'} past the hour`;
}
