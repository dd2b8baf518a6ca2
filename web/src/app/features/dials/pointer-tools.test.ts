import { NEW_BUILD, secondOfDay } from '@zeitpunkt/core';
import { arcMark, inkMark, minuteAt, numeralAt, toggled, toggledGap, type DialPoint } from './pointer-tools';
import { sweepOf } from './sweep-of';

const at = (deg: number, r = 70): DialPoint => ({ x: r * Math.sin((deg * Math.PI) / 180), y: -r * Math.cos((deg * Math.PI) / 180) });

test('places of the dial are numerals and minutes, also around the top', () => {
  expect([at(0), at(346), at(15.1), at(180)].map(numeralAt)).toEqual([12, 12, 1, 6]);
  expect([minuteAt(at(358), 1), minuteAt(at(356), 1), minuteAt(at(100), 5), minuteAt(at(300), 15)]).toEqual([0, 59, 15, 45]);
});

test('an arc runs clockwise whichever way it was drawn, and needs two places', () => {
  expect(arcMark(at(0), at(120), 5)).toEqual({ type: 'arc', fromMinute: 0, toMinute: 20, by: 5 });
  expect(arcMark(at(120), at(0), 5)).toEqual({ type: 'arc', fromMinute: 0, toMinute: 20, by: 5 });
  expect(arcMark(at(330), at(30), 5)).toEqual({ type: 'arc', fromMinute: 55, toMinute: 5, by: 5 });
  expect(arcMark(at(10), at(12), 15)).toBeNull();
});

test('pointing at the same thing twice takes it away again', () => {
  const ring = { type: 'numeral', numeral: 4 } as const;
  expect(toggled(toggled([], ring), { ...ring })).toEqual([]);
  expect(toggledGap(toggledGap([2], 11), 2)).toEqual([11]);
});

test('ink is plain path data that the contract takes', () => {
  const mark = inkMark('a', [at(10), at(40), at(90), at(100)]);
  expect(mark).toMatchObject({ type: 'ink', id: 'a', d: expect.stringMatching(/^M[LZ0-9 .-]+Z$/) });
});

test('a sweep that would cross midnight begins half a day earlier, where the dial looks the same', () => {
  const { beat } = sweepOf(secondOfDay(23, 50), secondOfDay(0, 20), 30, 'fives', NEW_BUILD);
  expect(beat).toMatchObject({ fromSec: secondOfDay(11, 50), toSec: secondOfDay(12, 20) });
  expect(sweepOf(secondOfDay(7, 0), secondOfDay(8, 0), 30, 'none', NEW_BUILD).beat).toMatchObject({
    fromSec: secondOfDay(7, 0),
    toSec: secondOfDay(8, 0),
  });
});
