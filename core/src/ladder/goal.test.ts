import fc from 'fast-check';
import { QUESTION_KINDS, kindOf, type Item } from '../question-kinds/registry.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { seededRng } from '../random/rng.js';
import { minuteOfHour, secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { isAboutGoal } from './goal.js';
import { RUNGS, RUNG_IDS, rungIdOf } from './registry.js';
import { isOnRung, rungsToTry, timeOnRung } from './rung-times.js';
import type { Rung } from './rung.js';

const read = (hour: number, minute: number, more: object = {}): Item =>
  ({ id: 'q', kind: 'read-dial', timeSec: secondOfDay(hour, minute), ...more }) as Item;
const anyRung = fc.constantFrom(...RUNG_IDS);

test.each([
  ['half-past', read(4, 30), true],
  ['half-past', read(4, 0), false], // known before
  ['quarter-to', read(4, 45), true],
  ['quarter-to', read(4, 15), false],
  ['any-minute', read(4, 37), true],
  ['hours-24', read(15, 30, { as: 'of-24' }), true],
  ['hours-24', read(9, 30, { as: 'of-24' }), false], // before noon a 24-hour clock shows nothing new
  ['hours-24', read(15, 30), false], // the dial as it stands
  ['durations', { id: 'q', kind: 'units', asks: 'hours-in-day' } as Item, false],
  ['hours-24', { id: 'q', kind: 'units', asks: 'hours-in-day' } as Item, true],
  ['seconds', { id: 'q', kind: 'units', asks: 'seconds-in-minute' } as Item, true],
  ['seconds', { id: 'q', kind: 'units', asks: 'hours-in-day' } as Item, false],
] as const)('on the rung %s: %j is about its goal: %s', (rung, item, isAbout) => {
  expect(isAboutGoal(rung, item)).toBe(isAbout);
});

test('every rung can ask about its goal with the kinds that it names, and each of its own kinds can be made on it', () => {
  for (const id of RUNG_IDS) {
    const { kinds, goalKinds = [] }: Rung = RUNGS[id];
    expect(goalKinds.filter((kind) => !kinds.includes(kind))).toEqual([]);
    const rng = seededRng(5);
    const made = kinds.flatMap((kind) =>
      Array.from({ length: 30 }, () => QUESTION_KINDS[kind].make('q', rng, RUNGS[id], DEFAULT_SETTINGS) as Item),
    );
    expect(new Set(made.map(({ kind }) => kind))).toEqual(new Set(kinds));
    const about = made.filter((item) => isAboutGoal(id, item));
    expect([id, about.length > 0]).toEqual([id, true]);
    for (const kind of goalKinds) expect([id, kind, about.some((item) => item.kind === kind)]).toEqual([id, kind, true]);
  }
});

test('a time of a rung has minutes that the rung allows, in any half of the day; a chosen one is taken as it is', () => {
  fc.assert(
    fc.property(anyRung, fc.integer(), (id, seed) => {
      const rung = RUNGS[id];
      const at = timeOnRung(rung, seededRng(seed));
      expect(isOnRung(rung, [at])).toBe(true);
      expect(at % 60).toBe(0);
      const only = secondOfDay(7, 58);
      expect(timeOnRung({ ...rung, only }, seededRng(seed))).toBe(only);
    }),
  );
  const halves = new Set(Array.from({ length: 60 }, (_, seed) => timeOnRung(RUNGS['half-past'], seededRng(seed)) < secondOfDay(12, 0)));
  expect(halves.size).toBe(2);
});

test('times stand on a rung or above it, never below: the lowest rung of some times is that of the hardest among them', () => {
  const byMinutes = RUNG_IDS.filter((id) => RUNGS[id].byMinutes);
  const anyTimes = fc.array(
    fc.integer({ min: 0, max: 1439 }).map((minute) => toSecondOfDay(minute * 60)),
    { minLength: 1, maxLength: 6 },
  );
  fc.assert(
    fc.property(anyTimes, (times) => {
      const place = byMinutes.indexOf(rungIdOf(times));
      expect(isOnRung(RUNGS[byMinutes[place]!], times)).toBe(true);
      expect(byMinutes.slice(0, place).some((id) => isOnRung(RUNGS[id], times))).toBe(false);
      expect(place).toBe(Math.max(...times.map((at) => byMinutes.indexOf(rungIdOf([at])))));
    }),
  );
});

test('a question about a chosen time is tried with it first, and then without it; on no rung for ever', () => {
  const only = secondOfDay(4, 30);
  const tried = [...rungsToTry({ ...RUNGS['half-past'], only })];
  const without = tried.findIndex((rung) => rung.only === undefined);
  expect(without).toBeGreaterThan(10);
  expect(tried.slice(without).every((rung) => rung.only === undefined)).toBe(true);
  expect(tried.length).toBeLessThan(10_000);
  const item = kindOf({ kind: 'read-dial' }).make('q', seededRng(1), { ...RUNGS['half-past'], only }, DEFAULT_SETTINGS) as Item;
  expect(kindOf(item).timesOf(item).map(minuteOfHour)).toEqual([30]);
});
