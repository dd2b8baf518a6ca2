import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { markOf } from '../question-kinds/marking.js';
import type { Item } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { simulateResponse } from './simulated-pupil.js';

const item: Item = { id: 'q', kind: 'read-dial', timeSec: 27_000 };
const answer = (misconceptions: Parameters<typeof simulateResponse>[0]['misconceptions'], carelessness: number, seed: number) =>
  simulateResponse({ misconceptions, firmness: 1, carelessness, paceMs: 8000 }, item, DEFAULT_SETTINGS, seededRng(seed));
const markOfAnswer = (...given: Parameters<typeof answer>) => markOf(item, answer(...given).response, DEFAULT_SETTINGS);

test('the same seed gives the same pupil; another one does not', () => {
  expect(answer([], 0.5, 7)).toEqual(answer([], 0.5, 7));
  expect(new Set([1, 2, 3, 4].map((seed) => answer([], 0, seed).responseTimeMs)).size).toBe(4);
});

test('a pupil answers by the first idea that makes a difference, and otherwise right but for slips', () => {
  for (let seed = 0; seed < 30; seed++) {
    expect(markOfAnswer(['hour-hand-on-numeral', 'coming-hour'], 1, seed).misconceptions).toContain('coming-hour');
    expect(markOfAnswer(['hour-hand-on-numeral'], 0, seed).verdict).toBe('right');
    expect(markOfAnswer([], 1, seed).verdict).toMatch(/partly|not-yet|blank/);
  }
});

const shareOf = (many: readonly boolean[]) => many.filter(Boolean).length / many.length;

test('an idea is followed as often as it is firm; otherwise the answer is right but for slips', () => {
  const rng = seededRng(3);
  const profile = { misconceptions: ['coming-hour'], firmness: 0.8, carelessness: 0, paceMs: 8000 } as const;
  const marks = Array.from({ length: 2000 }, () =>
    markOf(item, simulateResponse(profile, item, DEFAULT_SETTINGS, rng).response, DEFAULT_SETTINGS),
  );
  const followed = shareOf(marks.map(({ misconceptions }) => misconceptions.includes('coming-hour')));
  expect(followed).toBeCloseTo(0.8, 1);
  expect(shareOf(marks.map(({ verdict }) => verdict === 'right'))).toBeCloseTo(1 - followed, 6);
});

test('the pace is the median at half past, times have a long tail, and finer times take longer', () => {
  const timesAt = (timeSec: number) => {
    const rng = seededRng(5);
    const profile = { misconceptions: [], firmness: 1, carelessness: 0, paceMs: 8000 };
    const times = Array.from({ length: 4001 }, () => simulateResponse(profile, { ...item, timeSec }, DEFAULT_SETTINGS, rng).responseTimeMs);
    return times.sort((a, b) => a - b);
  };
  const [half, quarterTo, minutes] = [timesAt(27_000), timesAt(27_900), timesAt(28_020)].map((times) => times[2000]!);
  expect(half! / 8000).toBeCloseTo(1, 1);
  expect(quarterTo! / half!).toBeCloseTo(1.4, 5);
  expect(minutes! / half!).toBeCloseTo(2, 5);
  const sorted = timesAt(27_000);
  expect(sorted[3800]! / sorted[2000]!).toBeGreaterThan(2);
  expect(sorted[200]! / sorted[2000]!).toBeGreaterThan(0.4);
});
