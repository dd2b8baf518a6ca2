import { type HandId, type Pose, turnDeg, turnFree, turnGeared, wrapDeg, gearedPose } from '@zeitpunkt/core/dial/pose';
import type { SecondOfDay } from '@zeitpunkt/core/time/second-of-day';

/** What a pupil or teacher turns: geared hands follow one time, free hands one pose. */
export type Turning = { readonly hands: 'geared'; readonly at: SecondOfDay } | { readonly hands: 'free'; readonly pose: Pose };

/** A hand held by a pointer. The dial as it was comes back when the gesture is cancelled. */
export interface Hold {
  readonly hand: HandId;
  readonly before: Turning;
  /** Direction of the pointer when it was last seen, degrees clockwise from 12. */
  readonly lastDeg: number;
  /** How far the hand has been turned since it was taken, degrees, clockwise positive; several turns add up. */
  readonly turnedDeg: number;
}

/** Within this part of the dial's radius a touch may mean either hand; outside only the long one reaches. */
const SHORT_HAND_REACH = 0.62;

export function poseOf(turning: Turning): Pose {
  return turning.hands === 'geared' ? gearedPose(turning.at) : turning.pose;
}

/** Hands that are no farther apart than this, in degrees, lie upon each other: then it counts how far out they are taken. */
const UPON_DEG = 15;
const NEAR_PIVOT = 0.45;

/**
 * The hand a pointer takes: the nearer one in direction; far out always the minute hand, which lies on top. Where both lie upon each
 * other the short one is taken near the pivot, the long one farther out.
 */
export function handUnder(pose: Pose, deg: number, reach: number): HandId {
  if (reach > SHORT_HAND_REACH) return 'minute';
  if (Math.abs(turnDeg(pose.hourDeg, pose.minuteDeg)) <= UPON_DEG) return reach < NEAR_PIVOT ? 'hour' : 'minute';
  return Math.abs(turnDeg(pose.hourDeg, deg)) < Math.abs(turnDeg(pose.minuteDeg, deg)) ? 'hour' : 'minute';
}

/** The hold after the pointer has moved to another direction. */
export function moveHold(hold: Hold, deg: number): Hold {
  return { ...hold, lastDeg: deg, turnedDeg: hold.turnedDeg + turnDeg(hold.lastDeg, deg) };
}

/** The dial as a hold has turned it, in whole minutes: the minute hand to its ticks, the hour hand in steps of five minutes. */
export function turnedBy(hold: Hold): Turning {
  return turn(hold.before, hold.hand, hold.turnedDeg, hold.hand === 'minute' ? 1 : 5);
}

/**
 * The dial after a hand was turned, brought to whole steps.
 * @param byDeg signed degrees
 * @param stepMin steps in minutes that the turned hand stops at
 */
export function turn(turning: Turning, hand: HandId, byDeg: number, stepMin: number): Turning {
  if (turning.hands === 'geared') {
    const stepSec = stepMin * 60;
    const turned = turnGeared(turning.at, hand, byDeg);
    return { hands: 'geared', at: turnGeared((Math.round(turned / stepSec) * stepSec) as SecondOfDay, 'minute', 0) };
  }
  const stepDeg = hand === 'minute' ? stepMin * 6 : stepMin / 2;
  const pose = turnFree(turning.pose, hand, byDeg);
  const key = hand === 'minute' ? 'minuteDeg' : 'hourDeg';
  return { hands: 'free', pose: { ...pose, [key]: wrapDeg(Math.round(pose[key] / stepDeg) * stepDeg) } };
}
