import fc from 'fast-check';
import { hour12, minuteOfHour, SECONDS_PER_DAY, secondOfDay, toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { coherenceOf } from './coherence.js';
import { describePose } from './describe-pose.js';
import { gearedPose, turnDeg, turnFree, turnGeared, wrapDeg } from './pose.js';

const anySecond = fc.integer({ min: 0, max: SECONDS_PER_DAY - 1 }).map(toSecondOfDay);
const anyDeg = fc.double({ min: -2000, max: 2000, noNaN: true });

test.each([
  [0, 0, 0, 0],
  [8, 50, 265, 300],
  [12, 30, 15, 180],
  [15, 0, 90, 0],
  [23, 59, 359.5, 354],
])('the gears put the hands of %i:%i at %d and %d degrees', (hour, minute, hourDeg, minuteDeg) => {
  expect(gearedPose(secondOfDay(hour, minute))).toEqual({ hourDeg, minuteDeg });
});

test('an angle is brought under a full turn, also from a hair below 0', () => {
  expect([-1e-15, -360, 360, 725, -90, -0].map(wrapDeg)).toEqual([0, 0, 0, 5, 270, 0]);
});

test('a geared pose is read as its own time, with no gap and no residual, at every minute of the day', () => {
  for (let sec = 0; sec < SECONDS_PER_DAY; sec += 60) {
    const at = toSecondOfDay(sec);
    const read = coherenceOf(gearedPose(at));
    expect([read.hour, Math.round(read.minute)]).toEqual([hour12(at), minuteOfHour(at)]);
    expect(read.residualDeg).toBeCloseTo(0, 6);
    expect(read.gapMin).toBeCloseTo(0, 6);
  }
});

test('the hour hand left on 9 at half past is 15 degrees and 30 minutes off', () => {
  const read = coherenceOf({ hourDeg: 270, minuteDeg: 180 });
  expect(read.residualDeg).toBeCloseTo(15);
  expect(read.gapMin).toBe(30);
});

test('the residual is the smallest distance over all twelve hours', () => {
  fc.assert(
    fc.property(anyDeg.map(wrapDeg), anyDeg.map(wrapDeg), (hourDeg, minuteDeg) => {
      const distances = Array.from({ length: 12 }, (_, h) => Math.abs(turnDeg(30 * h + minuteDeg / 12, hourDeg)));
      expect(coherenceOf({ hourDeg, minuteDeg }).residualDeg).toBeCloseTo(Math.min(...distances), 6);
    }),
  );
});

test('turning a geared hand on and back again, also many turns, comes back to the same moment', () => {
  fc.assert(
    fc.property(anySecond, fc.constantFrom('hour' as const, 'minute' as const), fc.integer({ min: -5000, max: 5000 }), (at, hand, deg) => {
      expect(turnGeared(turnGeared(at, hand, deg), hand, -deg)).toBe(at);
    }),
  );
});

test('the minute hand carried through 12 carries the hour, also backwards and over midnight', () => {
  expect(turnGeared(secondOfDay(3, 55), 'minute', 60)).toBe(secondOfDay(4, 5));
  expect(turnGeared(secondOfDay(0, 5), 'minute', -60)).toBe(secondOfDay(23, 55));
  expect(turnGeared(secondOfDay(1, 0), 'hour', 15)).toBe(secondOfDay(1, 30));
});

test('a free hand leaves the other where it is', () => {
  expect(turnFree({ hourDeg: 10, minuteDeg: 350 }, 'minute', 20)).toEqual({ hourDeg: 10, minuteDeg: 10 });
  expect(turnFree({ hourDeg: 10, minuteDeg: 350 }, 'hour', -20)).toEqual({ hourDeg: 350, minuteDeg: 350 });
});

test('a dial is described by what is seen, not by what it means', () => {
  expect(describePose(gearedPose(secondOfDay(4, 30)))).toBe(
    'The short hour hand points between 4 and 5. The long minute hand points at 6.',
  );
  expect(describePose(gearedPose(secondOfDay(12, 57)))).toBe(
    'The short hour hand points almost at 1. The long minute hand points 2 ticks after 11.',
  );
  expect(describePose(gearedPose((7 * 3600) as SecondOfDay))).toBe('The short hour hand points at 7. The long minute hand points at 12.');
});
