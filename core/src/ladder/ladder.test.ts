import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { criteriaOf } from './criteria.js';
import { MATERIALS } from './materials.js';
import type { Rung } from './rung.js';
import { MISCONCEPTION_IDS } from '../misconceptions/registry.js';
import { secondOfDay } from '../time/second-of-day.js';
import { RUNGS, RUNG_IDS, rungAfter, rungOf } from './registry.js';

const SCHOOLS = (['hour-first', 'minute-first'] as const).flatMap((readingOrder) =>
  (['en-GB', 'de'] as const).map((pack) => ({ ...DEFAULT_SETTINGS, readingOrder, pack })),
);

test('each rung allows what those before it allow, and more', () => {
  const rungs = RUNG_IDS.filter((id) => RUNGS[id].byMinutes).map((id) => RUNGS[id].minutes as readonly number[]);
  rungs.slice(1).forEach((minutes, index) => {
    expect(minutes).toEqual(expect.arrayContaining([...rungs[index]!]));
    expect(minutes.length).toBeGreaterThan(rungs[index]!.length);
  });
});

test('every misconception is usual on some rung: no draft and no simulated pupil would reckon with it otherwise', () => {
  const usual = new Set(Object.values(RUNGS).flatMap((rung: Rung) => rung.misconceptions));
  expect(MISCONCEPTION_IDS.filter((id) => !usual.has(id))).toEqual([]);
});

test('every rung stands on one that is there, its times are new and on it, and the tricky ones too', () => {
  expect(RUNG_IDS.map(rungAfter)).toEqual([...RUNG_IDS.slice(1), null]);
  for (const id of RUNG_IDS) {
    const { after, minutes, newMinutes, tricky, criteria, byMinutes, materials, words }: Rung = RUNGS[id];
    const before = RUNG_IDS.find((one) => one === after);
    expect(after === null || before !== undefined).toBe(true);
    for (const minute of newMinutes)
      expect([minutes.includes(minute), before && byMinutes ? RUNGS[before].minutes.includes(minute) : false]).toEqual([true, false]);
    for (const material of materials) expect(MATERIALS[material].otherwise.en).toMatch(/\.$/);
    for (const told of Object.values(words)) expect(told.length).toBeGreaterThan(0);
    for (const settings of SCHOOLS) {
      const all = criteriaOf(RUNGS[id], settings);
      expect(all[0]).toMatch(settings.readingOrder === 'hour-first' ? /short|kurzen/ : /long|langen/);
      expect(all.length).toBeLessThanOrEqual(8);
    }
    expect(tricky.some(({ hour }) => hour === 12)).toBe(true); // between 12 and 1, or both hands up
    for (const { minute } of tricky) expect(minutes).toContain(minute);
    for (const sentences of Object.values(criteria)) for (const sentence of sentences) expect(sentence).toMatch(/^[A-Z].*\.$/);
  }
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
    'Five minutes past',
    [
      [4, 15],
      [12, 5],
    ],
  ],
  ['Five minutes to', [[12, 35]]],
  ['Any minute', [[7, 58]]],
] as const)('%s is the lowest rung for %j', (name, times) => {
  expect(rungOf(times.map(([hour, minute]) => secondOfDay(hour, minute))).name).toBe(name);
});
