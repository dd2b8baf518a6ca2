import type { SecondOfDay } from '../time/second-of-day.js';
import { wrapSecondOfDay } from '../time/second-of-day.js';

/** Where both hands point, in degrees clockwise from 12, each from 0 up to but not including 360. */
export interface Pose {
  readonly hourDeg: number;
  readonly minuteDeg: number;
}

export type HandId = 'hour' | 'minute';

/** Any angle brought into 0 ≤ a < 360 degrees. */
export function wrapDeg(deg: number): number {
  const wrapped = deg % 360;
  // A hair below 0 is rounded up to 360, which is 0 again; "+ 0" turns −0 into 0.
  return wrapped < 0 ? (wrapped + 360) % 360 : wrapped + 0;
}

/** Signed turn from one angle to another by the shorter way, −180 < d ≤ 180 degrees. */
export function turnDeg(fromDeg: number, toDeg: number): number {
  const turn = wrapDeg(toDeg - fromDeg);
  return turn > 180 ? turn - 360 : turn;
}

/** Hour-hand angle of a geared dial in degrees: 30 an hour, half a degree a minute. 3:00 and 15:00 give the same angle. */
export function hourHandDeg(at: SecondOfDay): number {
  return (at % 43_200) / 120;
}

/** Minute-hand angle of a geared dial in degrees: 6 a minute, a tenth of a degree a second. */
export function minuteHandDeg(at: SecondOfDay): number {
  return (at % 3600) / 10;
}

/** The pose that the gears of a clock give at a moment. */
export function gearedPose(at: SecondOfDay): Pose {
  return { hourDeg: hourHandDeg(at), minuteDeg: minuteHandDeg(at) };
}

/**
 * The moment after a hand of a geared dial was turned, wrapped at midnight. One turn of the minute hand is an hour; one
 * turn of the hour hand is twelve. Several turns and turns backwards count on.
 * @param byDeg signed turn in degrees, clockwise positive, any size
 */
export function turnGeared(at: SecondOfDay, hand: HandId, byDeg: number): SecondOfDay {
  return wrapSecondOfDay(at + byDeg * (hand === 'minute' ? 10 : 120));
}

/** A free dial after one hand was turned; the other stays where it is. */
export function turnFree(pose: Pose, hand: HandId, byDeg: number): Pose {
  return hand === 'minute'
    ? { hourDeg: pose.hourDeg, minuteDeg: wrapDeg(pose.minuteDeg + byDeg) }
    : { hourDeg: wrapDeg(pose.hourDeg + byDeg), minuteDeg: pose.minuteDeg };
}

/** A pose on the way between two, each hand by its shorter way. Part 0 is the first pose, 1 the second. */
export function poseBetween(from: Pose, to: Pose, part: number): Pose {
  const way = (a: number, b: number) => wrapDeg(a + turnDeg(a, b) * part);
  return { hourDeg: way(from.hourDeg, to.hourDeg), minuteDeg: way(from.minuteDeg, to.minuteDeg) };
}
