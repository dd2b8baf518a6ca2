import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { markOf } from '../question-kinds/marking.js';
import type { Item } from '../question-kinds/registry.js';
import { seededRng } from './rng.js';
import { simulateResponse } from './simulated-pupil.js';

const item: Item = { id: 'q', kind: 'read-dial', timeSec: 27_000 };
const answer = (misconceptions: Parameters<typeof simulateResponse>[0]['misconceptions'], carelessness: number, seed: number) =>
  simulateResponse({ misconceptions, carelessness, paceMs: 8000 }, item, DEFAULT_SETTINGS, seededRng(seed));
const markOfAnswer = (...given: Parameters<typeof answer>) => markOf(item, answer(...given).response, DEFAULT_SETTINGS);

test('the same seed gives the same pupil; another one does not', () => {
  expect(answer([], 0.5, 7)).toEqual(answer([], 0.5, 7));
  expect(new Set([1, 2, 3, 4].map((seed) => answer([], 0, seed).responseTimeMs)).size).toBe(4);
});

test('a pupil answers by the first idea that makes a difference, and otherwise right but for slips', () => {
  for (let seed = 0; seed < 30; seed++) {
    expect(markOfAnswer(['hour-hand-on-numeral', 'coming-hour'], 1, seed).misconceptions).toContain('coming-hour');
    expect(markOfAnswer(['hour-hand-on-numeral'], 0, seed).verdict).toBe('right');
    expect(markOfAnswer([], 1, seed).verdict).toMatch(/partly|not-yet/);
  }
});
