import { coherenceOf, STRICTNESS } from '../../dial/coherence.js';
import type { Pose } from '../../dial/pose.js';
import { minuteDigits } from '../../time/display.js';

/** The time that a set dial comes nearest to, and whether its hands agree. */
export function setDialText(pose: Pose): string {
  const { hour, minute, residualDeg } = coherenceOf(pose);
  const digits = `${hour}:${minuteDigits(Math.round(minute) % 60)}`;
  return residualDeg > STRICTNESS.proportion ? `about ${digits}, hands do not agree` : digits;
}
