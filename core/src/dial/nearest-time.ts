import { wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { coherenceOf } from './coherence.js';
import type { Pose } from './pose.js';

/** The time that gears can show and that a pose comes nearest to: whole minutes, between midnight and noon. */
export function nearestTime(pose: Pose): SecondOfDay {
  const { hour, minute } = coherenceOf(pose);
  return wrapSecondOfDay((hour % 12) * 3600 + Math.round(minute) * 60);
}
