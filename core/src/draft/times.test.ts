import fc from 'fast-check';
import { RUNGS, RUNG_IDS } from '../ladder/registry.js';
import { isOnRung } from '../ladder/rung-times.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import type { Item } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { hour24, minuteOfHour, SECONDS_PER_HALF_DAY, secondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { Chances } from './chances.js';
import { SITUATIONS, situationsAt } from './situations.js';
import { TimePicker } from './time-picker.js';

const picked = (rung: keyof typeof RUNGS, count: number, seed: number, wanted = {}) => {
  const picker = new TimePicker(RUNGS[rung], seededRng(seed));
  return Array.from({ length: count }, () => picker.next(wanted));
};
const onDial = (at: SecondOfDay) => at % SECONDS_PER_HALF_DAY;

test('the times of a lesson stand on its rung and within the hours that were wanted; the same seed gives the same', () => {
  fc.assert(
    fc.property(fc.constantFrom(...RUNG_IDS), fc.integer(), fc.integer({ min: 0, max: 22 }), (rung, seed, from) => {
      const hours = [from, from + 1] as const;
      const times = picked(rung, 6, seed, { hours });
      expect(isOnRung(RUNGS[rung], times)).toBe(true);
      expect(times.every((at) => hour24(at) >= from && hour24(at) <= from + 1)).toBe(true);
      expect(picked(rung, 6, seed, { hours })).toEqual(times);
      const news: readonly number[] = RUNGS[rung].newMinutes;
      for (const at of picked(rung, 6, seed, { isNew: true })) expect(news).toContain(minuteOfHour(at));
    }),
  );
});

test('times are spread: no hour comes again before half of the dial was used, and none follows itself', () => {
  fc.assert(
    fc.property(fc.integer(), (seed) => {
      const times = picked('five-to', 12, seed, { isNew: true });
      times.slice(1).forEach((at, index) => expect(onDial(at)).not.toBe(onDial(times[index]!)));
      expect(new Set(times.map(onDial)).size).toBeGreaterThanOrEqual(11);
      expect(new Set(times.slice(0, 8).map((at) => hour24(at) % 12)).size).toBeGreaterThanOrEqual(5);
      const halves = times.map((at) => hour24(at) % 12 < 6);
      expect(halves.filter(Boolean).length).toBeGreaterThanOrEqual(2);
      expect(halves.filter((is) => !is).length).toBeGreaterThanOrEqual(2);
    }),
    { numRuns: 60 },
  );
});

test('a time that is only looked at is not used; one that was chosen already is used at once', () => {
  const [one, other] = [new TimePicker(RUNGS['half-past'], seededRng(3)), new TimePicker(RUNGS['half-past'], seededRng(3))];
  for (let draw = 0; draw < 5; draw++) one.peek();
  for (let draw = 0; draw < 5; draw++) other.next();
  // Five times that were used keep the next one away from them; five that were looked at do not.
  const picker = new TimePicker(RUNGS['half-past'], seededRng(9));
  const used = picker.use(secondOfDay(4, 30));
  const next = Array.from({ length: 10 }, () => picker.peek({ isNew: true }));
  expect(next.map(onDial)).not.toContain(onDial(used));
});

test('all times that could be drawn are there once, and nothing else', () => {
  const picker = new TimePicker(RUNGS['quarter-past'], seededRng(1));
  const all = picker.all({ hours: [7, 18] });
  expect(new Set(all.map(onDial)).size).toBe(12 * RUNGS['quarter-past'].minutes.length);
  expect(all).toHaveLength(12 * RUNGS['quarter-past'].minutes.length);
  expect(picker.all({ hours: [13, 14], isNew: true })).toEqual([13, 14].flatMap((hour) => RUNGS['quarter-past'].newMinutes.map((minute) => secondOfDay(hour, minute)))); // prettier-ignore
});

test('which ideas a question could show is what they predict for it, whatever it is called and however often it is asked', () => {
  const chances = new Chances(DEFAULT_SETTINGS);
  const ideas = RUNGS['quarter-to'].misconceptions;
  for (const minute of [0, 15, 45, 30, 45]) {
    const item: Item = { id: `q${minute}`, kind: 'read-dial', timeSec: secondOfDay(4, minute) };
    const predicted = ideas.filter((id) => predictionsOf(item, DEFAULT_SETTINGS).has(id));
    expect(chances.of(item, ideas.slice(0, 2))).toEqual(predicted.filter((id) => ideas.slice(0, 2).includes(id)));
    expect(chances.of({ ...item, id: 'another' }, ideas)).toEqual(predicted);
  }
});

test('something happens at every hour that is said of it, in every language, and each of it is another thing', () => {
  for (const {
    hours: [from, to],
    says,
  } of SITUATIONS) {
    expect(from).toBeLessThanOrEqual(to);
    expect(Object.values(says).every((text) => text.trim() === text && text.length > 3)).toBe(true);
  }
  for (let hour = 0; hour < 24; hour++)
    for (const one of situationsAt(hour)) expect([one.hours[0] <= hour, one.hours[1] >= hour]).toEqual([true, true]);
  const said = SITUATIONS.map(({ says }) => says.en);
  expect(new Set(said).size).toBe(said.length);
});
