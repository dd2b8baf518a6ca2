import fc from 'fast-check';
import { RUNGS, RUNG_IDS } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { kindOf, type Item, type Response } from '../question-kinds/registry.js';
import { shuffled } from '../question-kinds/slips.js';
import { seededRng } from '../random/rng.js';
import { diagnose, type Answered } from './diagnose.js';
import { LOOKS_BACK_DAYS } from './model.js';
import { poolOf } from './pool.js';

const DAY_MS = 86_400_000;
const keyOf = (item: Item) => kindOf(item).keyOf(item, DEFAULT_SETTINGS) as Response;
/** The answers of somebody who follows an idea wherever it leads to a wrong answer, and is right elsewhere. */
const followed = (idea: MisconceptionId, items: readonly Item[], atMs = 0): Answered[] =>
  items.map((item) => {
    const response = (predictionsOf(item, DEFAULT_SETTINGS).get(idea)?.[0] as Response | undefined) ?? keyOf(item);
    return { id: item.id, item, response, settings: DEFAULT_SETTINGS, atMs };
  });
const usual = RUNG_IDS.flatMap((rung) => (RUNGS[rung] as Rung).misconceptions.map((idea) => [rung, idea] as const));
const pools = new Map(RUNG_IDS.map((rung) => [rung, [...poolOf(320, RUNGS[rung], DEFAULT_SETTINGS, 11)]]));
/** Questions of a rung that give an idea a chance, and others. */
const asked = (rung: (typeof RUNG_IDS)[number], idea: MisconceptionId) => {
  const pool = pools.get(rung)!;
  const [telling, others] = [true, false].map((is) => pool.filter((item) => predictionsOf(item, DEFAULT_SETTINGS).has(idea) === is));
  return { telling: telling!.slice(0, 9), others: others!.slice(0, 5) };
};

test('every usual idea of a rung has three different questions that could show it, but one that has two', () => {
  const few = usual.filter(([rung, idea]) => asked(rung, idea).telling.length < 3);
  expect(few).toEqual([['seconds', 'hour-as-hundred']]);
});

test.each(usual)('on the rung %s whoever follows %s everywhere is found out, and is not said to hold nothing', (rung, idea) => {
  const { telling, others } = asked(rung, idea);
  // Asked twice where there are few, as a long lesson does.
  const { ideas, none } = diagnose(followed(idea, telling.length < 4 ? [...telling, ...telling, ...others] : [...telling, ...others]), 0);
  const own = ideas.find(({ id }) => id === idea)!;
  expect(own.chances).toBeGreaterThanOrEqual(3);
  expect(own.hits).toBe(own.chances);
  // Nothing explains the answers better; another idea may explain the very same ones.
  for (const other of ideas.filter(({ probability }) => probability > own.probability + 0.02))
    expect(other.hits).toBeGreaterThanOrEqual(own.hits);
  expect(none).toBeLessThan(0.2);
});

const RUNG = RUNGS['quarter-to'];
const POOL = [...poolOf(60, RUNG, DEFAULT_SETTINGS, 3)];
const anyAnswers = fc.array(
  fc.record({ place: fc.nat(POOL.length - 1), idea: fc.option(fc.constantFrom(...RUNG.misconceptions)) }).map(({ place, idea }) => {
    const item = POOL[place]!;
    return idea === null ? { id: item.id, item, response: keyOf(item), settings: DEFAULT_SETTINGS, atMs: 0 } : followed(idea, [item])[0]!;
  }),
  { minLength: 1, maxLength: 10 },
);

test('within one lesson it does not matter in which order answers came', () => {
  fc.assert(
    fc.property(anyAnswers, fc.nat(), (answers, seed) => {
      const told = (list: readonly Answered[]) => {
        const { ideas, none, skill } = diagnose(list, 0);
        return new Map([['none', none], ['skill', skill], ...ideas.map(({ id, probability }) => [id, probability] as const)]);
      };
      const mixed = told(shuffled(answers, seededRng(seed)));
      for (const [name, chance] of told(answers)) expect(mixed.get(name)).toBeCloseTo(chance, 9);
    }),
    { numRuns: 40 },
  );
});

test('whatever is answered, chances add up, every hit has its evidence, and no answer counts as both', () => {
  fc.assert(
    fc.property(anyAnswers, (answers) => {
      const { ideas, none, skill, answers: looked } = diagnose(answers, 0);
      expect(looked).toBe(answers.length);
      expect([none, skill].every((chance) => chance >= 0 && chance <= 1 + 1e-9)).toBe(true);
      for (const { probability, hits, chances, evidence, unlike } of ideas) {
        expect(probability).toBeLessThanOrEqual(1 - none + 1e-9);
        expect([evidence.length, unlike.length]).toEqual([hits, chances - hits]);
        expect(evidence.filter((id) => unlike.includes(id) && answers.filter((one) => one.id === id).length === 1)).toEqual([]);
      }
    }),
    { numRuns: 60 },
  );
});

test('with each further answer that an idea leads to less is left of there being none; a right one where it misleads speaks against it', () => {
  const telling = POOL.filter((item) => predictionsOf(item, DEFAULT_SETTINGS).has('nearest-hour'));
  const told = (answers: readonly Answered[]) => {
    const { ideas, none } = diagnose(answers, 0);
    return { none, held: ideas.find(({ id }) => id === 'nearest-hour')!.probability };
  };
  for (let count = 1; count < 8; count++) {
    const before = followed('nearest-hour', telling.slice(0, count));
    const next = telling[count]!;
    expect(told([...before, ...followed('nearest-hour', [next])]).none).toBeLessThanOrEqual(told(before).none + 1e-9);
    const right = { id: next.id, item: next, response: keyOf(next), settings: DEFAULT_SETTINGS, atMs: 0 };
    expect(told([...before, right]).held).toBeLessThan(told(before).held);
  }
});

test('answers of more than five months ago are not looked at any more', () => {
  const items = asked('quarter-to', 'nearest-hour').telling;
  const old = followed('nearest-hour', items);
  expect(diagnose(old, (LOOKS_BACK_DAYS + 1) * DAY_MS)).toMatchObject({ answers: 0, ideas: [] });
  expect(diagnose(old, (LOOKS_BACK_DAYS - 1) * DAY_MS).answers).toBe(items.length);
});
