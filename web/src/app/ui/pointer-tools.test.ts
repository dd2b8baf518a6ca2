import { arcMark, inkMark, minuteAt, numeralAt, toggled, toggledGap, type DialPoint } from './pointer-tools';

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

test('a scribble that is too long is drawn from fewer points, not cut off', () => {
  const scribble = Array.from({ length: 6000 }, (_, index) => at(index * 7, 20 + (index % 60)));
  const mark = inkMark('a', scribble);
  expect(mark).toMatchObject({ d: expect.stringMatching(/^M[LZ0-9 .-]+Z$/) });
  expect((mark as { d: string }).d.length).toBeLessThanOrEqual(20_000);
});
