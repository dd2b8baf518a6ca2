import { displayText, displayText24 } from './display.js';
import { nextHour12, previousHour12, secondOfDay, toSecondOfDay, wrapSecondOfDay } from './second-of-day.js';

test.each([
  [24, 0, 'TIME_HOUR_RANGE'],
  [-1, 0, 'TIME_HOUR_RANGE'],
  [3, 60, 'TIME_MINUTE_RANGE'],
  [3, 1.5, 'TIME_MINUTE_RANGE'],
])('%d:%d is refused with %s', (hour, minute, code) => {
  expect(() => secondOfDay(hour, minute)).toThrow(expect.objectContaining({ code }));
});

test('a raw second must be whole and within the day', () => {
  for (const raw of [-1, 86_400, 0.5, NaN])
    expect(() => toSecondOfDay(raw)).toThrow(expect.objectContaining({ code: 'TIME_SECOND_RANGE' }));
});

test('times wrap at midnight in both directions, hours at 12', () => {
  expect(wrapSecondOfDay(-60)).toBe(secondOfDay(23, 59));
  expect(wrapSecondOfDay(2 * 86_400 + 60)).toBe(secondOfDay(0, 1));
  expect([nextHour12(12), nextHour12(4), previousHour12(1), previousHour12(12)]).toEqual([1, 5, 12, 11]);
});

test('displays write two digits for the minutes and never a 0 o’clock in twelve hours', () => {
  expect(displayText(secondOfDay(0, 5))).toBe('12:05');
  expect(displayText(secondOfDay(16, 30), '.')).toBe('4.30');
  expect(displayText24(secondOfDay(4, 5))).toBe('04:05');
});
