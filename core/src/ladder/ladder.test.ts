import { secondOfDay } from '../time/second-of-day.js';
import { RUNGS, RUNG_IDS, rungOf } from './registry.js';

test('each rung allows what those before it allow, and more', () => {
  const rungs = RUNG_IDS.map((id) => RUNGS[id].minutes as readonly number[]);
  rungs.slice(1).forEach((minutes, index) => {
    expect(minutes).toEqual(expect.arrayContaining([...rungs[index]!]));
    expect(minutes.length).toBeGreaterThan(rungs[index]!.length);
  });
});

test.each([
  ['Whole hours', [[4, 0]]],
  [
    'Half past',
    [
      [4, 0],
      [9, 30],
    ],
  ],
  ['Quarter to', [[4, 45]]],
  [
    'Five-minute steps',
    [
      [4, 15],
      [12, 5],
    ],
  ],
  ['Any minute', [[7, 58]]],
] as const)('%s is the lowest rung for %j', (name, times) => {
  expect(rungOf(times.map(([hour, minute]) => secondOfDay(hour, minute))).name).toBe(name);
});
