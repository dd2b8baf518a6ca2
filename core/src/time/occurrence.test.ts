import { durationText, later } from './duration.js';
import { earlierFirst, halfOfDay, inHalf, lastOnDial, nextOnDial, secondsUntil } from './occurrence.js';
import { secondOfDay, toSecondOfDay } from './second-of-day.js';

const minutes = Array.from({ length: 1440 }, (_, minute) => toSecondOfDay(minute * 60));

test('every minute has its half of the day, and the same dial in the other half is twelve hours off', () => {
  for (const at of minutes) {
    expect(halfOfDay(at)).toBe(at < 12 * 3600 ? 'am' : 'pm');
    expect(inHalf(at, halfOfDay(at))).toBe(at);
    expect(Math.abs(inHalf(at, 'pm') - inHalf(at, 'am'))).toBe(43_200);
  }
});

test('a dial shows a time next within half a day, and showed it last within half a day', () => {
  for (const at of minutes) {
    const after = secondOfDay(14, 7);
    expect(nextOnDial(at, after) % 43_200).toBe(at % 43_200);
    expect(secondsUntil(after, nextOnDial(at, after))).toBeLessThan(43_200);
    expect(secondsUntil(lastOnDial(at, after), after)).toBeLessThan(43_200);
    expect(lastOnDial(at, after) % 43_200).toBe(at % 43_200);
  }
  expect(nextOnDial(secondOfDay(7, 45), secondOfDay(14, 0))).toBe(secondOfDay(19, 45));
});

test('later and until are inverse to each other, also over midnight', () => {
  for (const at of minutes) expect(secondsUntil(at, later(at, 5 * 3600))).toBe(5 * 3600);
  expect(later(secondOfDay(23, 50), 1200)).toBe(secondOfDay(0, 10));
  expect([...minutes].reverse().sort(earlierFirst)).toEqual(minutes);
});

test('durations are hours and minutes, not hundreds', () => {
  expect([5400, 3600, 60, 0, 7325].map(durationText)).toEqual([
    '1 hour 30 minutes',
    '1 hour',
    '1 minute',
    '0 minutes',
    '2 hours 2 minutes 5 seconds',
  ]);
});
