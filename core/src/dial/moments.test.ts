import { secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { hourProgress } from './hour-progress.js';
import { exchangeableMoments, overlapMoments } from './moments.js';
import { readHourHand, readMinuteHand } from './one-hand.js';
import { coherenceOf } from './coherence.js';
import { gearedPose, turnDeg, wrapDeg } from './pose.js';
import { reportPose } from './possible.js';

const poseAt = (sec: number) => ({ hourDeg: wrapDeg(sec / 120), minuteDeg: wrapDeg(sec / 10) });

test('the hands coincide at eleven moments and at no others', () => {
  const moments = overlapMoments();
  expect(moments).toHaveLength(11);
  for (const sec of moments) expect(Math.abs(turnDeg(poseAt(sec).hourDeg, poseAt(sec).minuteDeg))).toBeLessThan(1e-6);
  let crossings = 0;
  let before = -1;
  for (let sec = 0; sec < 43_200; sec++) {
    const ahead = turnDeg(poseAt(sec).hourDeg, poseAt(sec).minuteDeg);
    if (before < 0 && ahead >= 0 && ahead < 90) crossings += 1;
    before = ahead;
  }
  expect(crossings).toBe(11);
});

test('at 143 moments exchanged hands still show a time, and between them they do not', () => {
  const moments = exchangeableMoments();
  expect(new Set(moments.map((sec) => sec.toFixed(3))).size).toBe(143);
  const residual = (sec: number) => coherenceOf({ hourDeg: poseAt(sec).minuteDeg, minuteDeg: poseAt(sec).hourDeg }).residualDeg;
  for (const sec of moments) expect(residual(sec)).toBeLessThan(1e-6);
  for (const sec of moments) expect(residual(sec + 43_200 / 286)).toBeGreaterThan(1);
});

test('the hour hand alone tells the time within four minutes, the minute hand alone twelve times', () => {
  for (let minute = 0; minute < 720; minute++) {
    const { hourDeg, minuteDeg } = gearedPose(toSecondOfDay(minute * 60));
    const read = readHourHand(hourDeg + 1.9);
    expect(Math.abs(((read.minuteOf12 - minute + 360 + 720) % 720) - 360)).toBeLessThanOrEqual(read.spreadMin);
    expect(readMinuteHand(minuteDeg).filter((one) => Math.abs(one - minute) < 1e-6)).toHaveLength(1);
  }
});

test.each([
  [4, 0, 'The hour hand is at 4.'],
  [4, 5, 'The hour hand has just passed 4 and comes to 5.'],
  [12, 30, 'The hour hand has passed 12 and is half way to 1.'],
  [8, 50, 'The hour hand has long passed 8 and is almost at 9.'],
  [11, 59, 'The hour hand has long passed 11 and is almost at 12.'],
])('the way of the hour hand at %i:%i', (hour, minute, sentence) => {
  expect(hourProgress(gearedPose(secondOfDay(hour, minute)).hourDeg).sentence).toBe(sentence);
});

test.each([
  [270, 180, false, 'This cannot be: at half past, the hour hand is half way from the 9 to the 10; here it has not gone so far.'],
  [90, 90, false, 'This cannot be: at quarter past, the hour hand is less than half way from the 3 to the 4; here it has not gone so far.'],
  [298, 180, false, 'This cannot be: at half past, the hour hand is half way from the 9 to the 10; here it has gone further.'],
  [100, 0, false, 'This cannot be: at the full hour, the hour hand points exactly at the 3; here it has gone further.'],
  [222.5, 330, false, 'This cannot be: 55 minutes past the hour, the hour hand is close to the 8; here it has not gone so far.'],
  [239.7, 358.2, true, 'This can be: it is 8:00.'],
  [100, 358.2, false, 'This cannot be: at the full hour, the hour hand points exactly at the 3; here it has gone further.'],
  [285, 180, true, 'This can be: it is 9:30.'],
])('hands at %d and %d degrees: possible %s', (hourDeg, minuteDeg, possible, sentence) => {
  expect(reportPose({ hourDeg, minuteDeg })).toMatchObject({ possible, sentence });
});

test('every time of the gears can be, and its nearest time is itself', () => {
  for (let minute = 0; minute < 720; minute++) {
    const at = toSecondOfDay(minute * 60);
    expect(reportPose(gearedPose(at))).toMatchObject({ possible: true, nearest: at });
  }
});
