import fc from 'fast-check';
import { RUNG_IDS } from '../ladder/registry.js';
import { checkPlan } from './check-plan.js';
import { NEW_PLAN, type ClassPlan, type Weekday } from './plan.js';
import { countDays, dayOf, daysOn, dayWords, isIsoDate, mondayOf, weekdayOf } from './school-days.js';
import {
  cardOn,
  cardsDue,
  daysToPlan,
  moveInSeries,
  planOn,
  plannedLessons,
  movedLessons,
  putOn,
  takeOutOfPlan,
  seriesWishes,
  toggleDayOff,
  toggleSkipped,
} from './series.js';
import { suggestNext } from './suggest.js';

const MONDAY = '2026-11-23';
const weekdays = fc.uniqueArray(fc.constantFrom<Weekday>(1, 2, 3, 4, 5), { minLength: 1 });
const someDays = fc
  .array(fc.nat(80), { maxLength: 12 })
  .map((days) => [...new Set(days)].sort((a, b) => a - b).map((n) => daysOn(MONDAY, n)));
const plans = fc
  .record({ weekdays, off: someDays, skipped: someDays, lessons: fc.integer({ min: 1, max: 20 }) })
  .map((drawn): ClassPlan => ({
    ...NEW_PLAN,
    daysOff: drawn.off,
    series: {
      startsOn: MONDAY,
      weekdays: drawn.weekdays,
      lessonIds: Array.from({ length: drawn.lessons }, (_, index) => `lesson-${index}`),
      skipped: drawn.skipped,
    },
  }));

test('lessons fall on their days of the week in order, one a day, never on a day off, and none is left out', () => {
  fc.assert(
    fc.property(plans, (plan) => {
      const planned = plannedLessons(plan);
      expect(planned.map(({ lessonId }) => lessonId)).toEqual(plan.series!.lessonIds);
      const dates = planned.map(({ date }) => date);
      expect(dates).toEqual([...new Set(dates)].sort());
      for (const date of dates) {
        expect(plan.series!.weekdays).toContain(weekdayOf(date));
        expect([...plan.daysOff, ...plan.series!.skipped]).not.toContain(date);
      }
      // Every day that could hold a lesson does, up to the last one.
      const rule = { weekdays: plan.series!.weekdays, off: new Set([...plan.daysOff, ...plan.series!.skipped]) };
      expect(countDays(MONDAY, dates.at(-1)!, rule)).toBe(dates.length);
    }),
  );
});

test('a day off moves its lesson and the rest on, those before stay; taken back, all is as it was', () => {
  fc.assert(
    fc.property(plans, fc.nat(19), (plan, which) => {
      const planned = plannedLessons(plan);
      const { date } = planned[which % planned.length]!;
      const after = plannedLessons(toggleDayOff(plan, date));
      planned.forEach((one, index) => {
        if (one.date < date) expect(after[index]).toEqual(one);
        else expect(after[index]!.date > one.date).toBe(true);
      });
      expect(plannedLessons(toggleDayOff(toggleDayOff(plan, date), date))).toEqual(planned);
      expect(plannedLessons(toggleSkipped(plan, date))).toEqual(after);
    }),
  );
});

test('lessons change places and go; a series without any is none', () => {
  const series = { startsOn: MONDAY, weekdays: [1, 3] as Weekday[], lessonIds: ['a', 'b', 'c'], skipped: [] };
  const plan = { ...NEW_PLAN, series };
  expect(moveInSeries(plan, 'a', 1).series!.lessonIds).toEqual(['b', 'a', 'c']);
  expect(moveInSeries(plan, 'c', 5).series!.lessonIds).toEqual(['a', 'b', 'c']);
  expect(moveInSeries(plan, 'b', -1).series!.lessonIds).toEqual(['b', 'a', 'c']);
  expect(plannedLessons(takeOutOfPlan(plan, 'a'))).toEqual([
    { lessonId: 'b', date: '2026-11-23' },
    { lessonId: 'c', date: '2026-11-25' },
  ]);
  expect(['a', 'b', 'c'].reduce(takeOutOfPlan, plan as ClassPlan).series).toBeNull();
});

test('each lesson of a series knows the one before and after it', () => {
  const wishes = seriesWishes('half-past', 'quarter-to', 2, 'whole-hours');
  expect(wishes.map(({ rung }) => rung)).toEqual(['half-past', 'half-past', 'quarter-past', 'quarter-past', 'quarter-to', 'quarter-to']);
  expect(wishes[0]!.between).toEqual({ before: 'whole-hours', after: 'half-past' });
  expect(wishes[1]!.between).toEqual({ before: 'half-past', after: 'quarter-past' });
  expect(wishes.at(-1)!.between).toEqual({ before: 'quarter-to', after: 'five-past' });
  expect(seriesWishes(RUNG_IDS.at(-1)!, RUNG_IDS.at(-1)!, 1, null)[0]!.between).toEqual({ before: null, after: null });
});

test('a card is due each school day; missed ones are caught up, and a day off has none', () => {
  const cards = { pattern: { firstSec: 28_800, stepsMin: [30] }, startsOn: MONDAY, shown: 0 };
  const plan: ClassPlan = { ...NEW_PLAN, daysOff: ['2026-11-25'], cards };
  expect(
    ['2026-11-22', MONDAY, '2026-11-24', '2026-11-25', '2026-11-26', '2026-11-28', '2026-11-30'].map((date) => cardOn(plan, date)),
  ).toEqual([null, 1, 2, null, 3, null, 5]);
  expect(cardsDue(plan, '2026-11-20')).toBeNull();
  expect(cardsDue({ ...plan, cards: { ...cards, shown: 2 } }, '2026-11-26')).toEqual({ since: 3, card: 3 });
  expect(cardsDue({ ...plan, cards: { ...cards, shown: 1 } }, '2026-11-29')).toEqual({ since: 2, card: 4 });
  expect(cardsDue({ ...plan, cards: { ...cards, shown: 4 } }, '2026-11-27')).toBeNull();
});

test('days are days of the calendar: leap days, ends of years, none that does not exist', () => {
  expect([isIsoDate('2028-02-29'), isIsoDate('2027-02-29'), isIsoDate('2026-2-3'), isIsoDate('tomorrow')]).toEqual([
    true,
    false,
    false,
    false,
  ]);
  expect(daysOn('2026-12-31', 1)).toBe('2027-01-01');
  expect(daysOn('2028-03-01', -1)).toBe('2028-02-29');
  expect(mondayOf('2026-11-29')).toBe(MONDAY);
  expect(() => checkPlan({ ...NEW_PLAN, daysOff: ['2027-02-29'] })).toThrow('There is no day “2027-02-29”, at /daysOff of the plan.');
  expect(() => checkPlan(NEW_PLAN)).not.toThrow();
});

test('days on and back are the same day, the days of the week go round, and every device has the day of its own clock', () => {
  fc.assert(
    fc.property(
      fc.date({ min: new Date(2000, 0, 1), max: new Date(2090, 0, 1), noInvalidDate: true }),
      fc.integer({ min: -800, max: 800 }),
      (at, days) => {
        const date = dayOf(at.getTime());
        expect(date).toBe([at.getFullYear(), at.getMonth() + 1, at.getDate()].map((part) => String(part).padStart(2, '0')).join('-'));
        const other = daysOn(date, days);
        expect(isIsoDate(other)).toBe(true);
        expect(daysOn(other, -days)).toBe(date);
        expect((weekdayOf(other) - weekdayOf(date) - days) % 7 || 0).toBe(0);
      },
    ),
  );
  expect(dayWords('2026-11-26')).toBe('Thursday 26 November');
});

describe('what comes next', () => {
  const given = (rightShare: number | null) => [{ rung: 'quarter-past' as const, date: '2026-11-20', rightShare }];
  const suggest = (rightShare: number | null) => suggestNext(given(rightShare), null, MONDAY);
  test('is what is planned, else the rung after the last one, or the same once more where too little was right', () => {
    const planned = { lessonId: 'x', rung: 'any-minute' as const, date: MONDAY, title: 'Any minute, 20 minutes' };
    expect(suggestNext(given(0.2), planned, MONDAY)).toEqual({
      rung: 'any-minute',
      lessonId: 'x',
      why: '“Any minute, 20 minutes” is planned today.',
    });
    expect(suggest(0.8)).toMatchObject({ rung: 'quarter-to', why: expect.stringContaining('80 of 100') });
    expect(suggest(0.69)).toMatchObject({ rung: 'quarter-past', why: expect.stringContaining('once more') });
    expect(suggest(null)).toMatchObject({ rung: 'quarter-to' });
    expect(suggestNext([], null, MONDAY)).toMatchObject({ rung: 'whole-hours' });
    expect(suggestNext([{ rung: 'seconds', date: MONDAY, rightShare: 1 }], null, MONDAY)).toMatchObject({ rung: 'seconds' });
  });
});

test('a further lesson is put on any day that is offered, and all others stay in their order', () => {
  fc.assert(
    fc.property(plans, fc.nat(7), fc.boolean(), (drawn, place, isEmpty) => {
      const plan = isEmpty ? { ...drawn, series: null } : drawn;
      const days = daysToPlan(plan, MONDAY, 8);
      expect(days).toHaveLength(8);
      const date = days[place]!;
      const changed = planOn(plan, 'new', date, MONDAY);
      const planned = plannedLessons(changed);
      expect(planned.find(({ lessonId }) => lessonId === 'new')).toMatchObject({ date });
      expect(planned.map(({ lessonId }) => lessonId).filter((id) => id !== 'new')).toEqual(plan.series?.lessonIds ?? []);
      // Whatever stands before that day stays where it was.
      const before = plannedLessons(plan).filter((one) => one.date < date);
      expect(planned.slice(0, before.length)).toEqual(before);
    }),
  );
});

test('a series that is over is followed by a new one on the day that is chosen', () => {
  const over = { ...NEW_PLAN, series: { startsOn: '2026-09-01', weekdays: [2 as Weekday], lessonIds: ['old'], skipped: [] } };
  expect(planOn(over, 'new', '2026-11-26', MONDAY).series).toMatchObject({ startsOn: '2026-11-26', lessonIds: ['new'] });
});

test('a lesson put on a day stands beside what is there and moves nothing else, wherever it comes from, and can be moved again', () => {
  fc.assert(
    fc.property(plans, fc.nat(20), fc.nat(60), fc.nat(60), (plan, which, first, second) => {
      const lessonId = plan.series!.lessonIds[which] ?? 'new';
      for (const [before, date] of [
        [plan, daysOn(MONDAY, first)],
        [putOn(plan, lessonId, daysOn(MONDAY, first)), daysOn(MONDAY, second)],
      ] as const) {
        // prettier-ignore
        const after = putOn(before, lessonId, date);
        expect(plannedLessons(after)).toContainEqual({ lessonId, date });
        expect(movedLessons(before, after).filter((one) => one.lessonId !== lessonId)).toEqual([]);
        expect(plannedLessons(after).filter((one) => one.lessonId === lessonId)).toHaveLength(1);
      }
    }),
  );
});

test('what a change moves is told with both days; what it takes out goes to none', () => {
  const series = { startsOn: MONDAY, weekdays: [1] as Weekday[], lessonIds: ['a', 'b'], skipped: [] };
  const plan = { ...NEW_PLAN, series };
  expect(movedLessons(plan, toggleDayOff(plan, MONDAY))).toEqual([
    { lessonId: 'a', from: MONDAY, to: daysOn(MONDAY, 7) },
    { lessonId: 'b', from: daysOn(MONDAY, 7), to: daysOn(MONDAY, 14) },
  ]);
  expect(movedLessons(plan, takeOutOfPlan(plan, 'b'))).toEqual([{ lessonId: 'b', from: daysOn(MONDAY, 7), to: null }]);
});
