import fc from 'fast-check';
import { HOUR_HAND, MINUTE_HAND } from './dial-hands.js';
import { outlineOf, turnedPoints } from './outline.js';
import { pointAt, sectorPath } from './scene-node.js';

const read = (points: string) => points.split(' ').map((point) => point.split(',').map(Number) as [number, number]);

test.each([
  ['hour', HOUR_HAND, 57],
  ['minute', MINUTE_HAND, 97],
])('a turned %s hand keeps its shape, and its tip points where it is turned to', (_, d, reach) => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 3599 }), (tenths) => {
      const outline = outlineOf(d)!;
      const turned = read(turnedPoints(outline, tenths / 10));
      turned.forEach(([x, y], n) => expect(Math.abs(Math.hypot(x, y) - Math.hypot(...outline[n]!))).toBeLessThan(0.02));
      const [x, y] = pointAt(tenths / 10, reach);
      expect(Math.min(...turned.map((point) => Math.hypot(point[0] - x, point[1] - y)))).toBeLessThan(0.02);
    }),
  );
});

test('curves bulge as far as they do, and what has arcs or several pieces has no outline', () => {
  // The leaf of the hour hand is widest between its shoulders and its tip: half way through its curve.
  expect(Math.max(...outlineOf(HOUR_HAND)!.map(([x]) => x))).toBeCloseTo(6.02, 2);
  expect(outlineOf(sectorPath(0, 90, 50))).toBeNull();
  expect(outlineOf('M0 0 L1 1 M2 2 L3 3')).toBeNull();
});
