import fc from 'fast-check';
import { DAY_MS } from '../testing/insight.js';
import { masteryOf, type MasteryAnswer } from './mastery.js';
import { INTERVAL, WORDS } from './mastery-model.js';
import { measureMastery } from './measure-mastery.js';

const NOW = 60 * DAY_MS;
const given = (rights: readonly boolean[], daysAgo = 0, guess = 0): MasteryAnswer[] =>
  rights.map((right, place) => ({ right, guess, atMs: NOW - daysAgo * DAY_MS - (rights.length - place) * 60_000 }));
const of = (...lists: readonly MasteryAnswer[][]) => masteryOf(lists.flat(), NOW);
const times = (count: number, right: boolean) => Array.from({ length: count }, () => right);

test('the word is said first: sure, nearly, not yet, or too few answers to say', () => {
  expect(of(given(times(10, true))).word).toBe('sure');
  expect(of(given([true, true, false, true, true, true, false, true])).word).toBe('nearly');
  expect(of(given(times(6, false))).word).toBe('not-yet');
  expect(of(given([true, true])).word).toBe('too-few');
  expect(of([]).word).toBe('too-few');
});

test('a right answer never lowers mastery and a wrong one never raises it, whatever came before', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 0, max: 50 }), fc.constantFrom(0, 0.25, 0.5)), { maxLength: 12 }),
      (list) => {
        const before = list
          .map(([right, daysAgo, guess]) => ({ right, guess, atMs: NOW - daysAgo * DAY_MS - 1 }))
          .sort((one, other) => one.atMs - other.atMs);
        const mean = (right: boolean) => masteryOf([...before, { right, guess: 0.25, atMs: NOW }], NOW).mean;
        const now = masteryOf(before, NOW);
        expect(mean(true)).toBeGreaterThanOrEqual(now.mean - 1e-9);
        expect(mean(false)).toBeLessThanOrEqual(now.mean + 1e-9);
        expect(now.interval[0]).toBeLessThanOrEqual(now.interval[1]);
        expect(now.interval[0]).toBeGreaterThan(0);
        expect(now.interval[1]).toBeLessThan(1);
      },
    ),
  );
});

test('what was known fades with the weeks and is less certain; after a long time no more is known than at first', () => {
  const fresh = of(given(times(8, true)));
  const [month, years] = [of(given(times(8, true), 30)), masteryOf(given(times(8, true), 0).map((one) => ({ ...one, atMs: one.atMs - 4 * 365 * DAY_MS })), NOW)]; // prettier-ignore
  expect(month.mean).toBeLessThan(fresh.mean);
  expect(month.spread).toBeGreaterThan(fresh.spread);
  expect(years.mean).toBeCloseTo(masteryOf([], NOW).mean, 1);
  expect(years.word).toBe('too-few');
});

test('an answer that can be guessed tells less; what came after the moment is not looked at; the counts are of answers', () => {
  expect(of(given(times(4, true), 0, 0.5)).mean).toBeLessThan(of(given(times(4, true))).mean);
  const later = { right: false, guess: 0, atMs: NOW + 1 };
  expect(of(given(times(4, true)), [later])).toEqual(of(given(times(4, true))));
  expect(of(given([true, false, true]))).toMatchObject({ answers: 3, right: 2, lastMs: NOW - 60_000 });
});

test('on simulated learners the interval holds the truth at the rate that is stated, and the words mean what they say', () => {
  const measured = measureMastery(1500, 11);
  expect(Math.abs(measured.covered - INTERVAL)).toBeLessThan(0.04);
  const mean = (word: string) => measured.words.find((one) => one.word === word)!.mean;
  expect(mean('sure')).toBeGreaterThan(WORDS.sure.mastery);
  expect(mean('not-yet')).toBeLessThan(WORDS.notYet.mastery);
});
