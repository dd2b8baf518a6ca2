import fc from 'fast-check';
import type { Pose } from '@zeitpunkt/core/dial/pose';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { handUnder, moveHold, poseOf, turn, turnedBy, type Hold, type Turning } from './dial-gesture';

const geared = (hour: number, minute: number): Turning => ({ hands: 'geared', at: secondOfDay(hour, minute) });
const hold = (hand: 'hour' | 'minute', before: Turning, lastDeg: number): Hold => ({ hand, before, lastDeg, turnedDeg: 0 });
const drag = (from: Hold, ...through: number[]) => turnedBy(through.reduce(moveHold, from));

test('dragging the minute hand through 12 carries the hour on, and back again, over many turns', () => {
  const round = [60, 150, 240, 330];
  expect(drag(hold('minute', geared(3, 50), 300), 0, 60)).toEqual(geared(4, 10));
  expect(drag(hold('minute', geared(0, 10), 60), 0, 300)).toEqual(geared(23, 50));
  expect(drag(hold('minute', geared(1, 0), 0), ...round, ...round, ...round, 0)).toEqual(geared(4, 0));
});

test('dragging the hour hand of a geared dial drives the minute hand in steps of five minutes', () => {
  expect(drag(hold('hour', geared(3, 0), 90), 104)).toEqual(geared(3, 30));
});

test('free hands turn one by one and stop at whole minutes', () => {
  const before: Turning = { hands: 'free', pose: { hourDeg: 0, minuteDeg: 0 } };
  expect(drag(hold('minute', before, 0), 90, 178)).toEqual({ hands: 'free', pose: { hourDeg: 0, minuteDeg: 180 } });
  expect(drag(hold('hour', before, 0), -89)).toEqual({ hands: 'free', pose: { hourDeg: 270, minuteDeg: 0 } });
});

test('wherever a geared hand is dragged, the dial stays on a whole minute and can be dragged back to where it was', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1439 }),
      fc.array(fc.integer({ min: 0, max: 59 }), { minLength: 1, maxLength: 20 }),
      (minute, path) => {
        const before = geared(Math.floor(minute / 60), minute % 60);
        const start = hold('minute', before, 0);
        const turned = path.map((tick) => tick * 6).reduce(moveHold, start);
        const after = turnedBy(turned) as { at: number };
        expect(after.at % 60).toBe(0);
        expect(turn(turnedBy(turned), 'minute', -turned.turnedDeg, 1)).toEqual(before);
      },
    ),
  );
});

test('of hands upon each other the short one is taken near the pivot, the long one farther out', () => {
  for (const pose of [
    { hourDeg: 0, minuteDeg: 0 },
    { hourDeg: 32.5, minuteDeg: 30 },
  ] as Pose[])
    for (const off of [-20, 0, 20])
      expect([0.15, 0.35, 0.55].map((reach) => handUnder(pose, pose.minuteDeg + off, reach))).toEqual(['hour', 'hour', 'minute']);
});

test('the nearer hand is taken, and far out always the long one', () => {
  const pose: Pose = { hourDeg: 105, minuteDeg: 180 };
  expect([handUnder(pose, 110, 0.4), handUnder(pose, 170, 0.4), handUnder(pose, 110, 0.9)]).toEqual(['hour', 'minute', 'minute']);
  expect(poseOf(geared(3, 30))).toEqual(pose);
});
