import { RUNGS } from '../../ladder/registry.js';
import { DEFAULT_SETTINGS } from '../../lesson/settings.js';
import { seededRng } from '../../random/rng.js';
import { dialsInOrder } from '../../scene/stage-state.js';
import { markOf } from '../marking.js';
import { chooseAll } from './choose-all.js';
import type { ChooseAllItem } from './item.js';
import { CHOOSE_ALL_SAMPLES } from './samples.js';

const [half, quarter, words] = CHOOSE_ALL_SAMPLES as readonly [ChooseAllItem, ChooseAllItem, ChooseAllItem];
const mark = (item: ChooseAllItem, ...chosen: number[]) => markOf(item, { kind: 'choose-all', chosen }, DEFAULT_SETTINGS);

test.each<[string, number[], string, readonly string[]]>([
  ['both clocks that show half past seven', [0, 3], 'right', []],
  ['one of them', [0], 'partly', []],
  ['the one whose short hand stayed on the 7 too', [0, 1, 3], 'partly', ['hour-hand-on-numeral']],
  ['half past six instead', [2], 'not-yet', ['nearest-hour', 'coming-hour']],
  ['none', [], 'blank', []],
])('of five clocks %s: %j is %s', (_, chosen, verdict, ideas) => {
  expect(mark(half, ...chosen).verdict).toBe(verdict);
  for (const idea of ideas) expect(mark(half, ...chosen).misconceptions).toContain(idea);
});

test('a dial whose hands cannot be is never right, however near its reading', () => {
  expect(chooseAll.keyOf({ ...half, choices: [half.choices[1]!, half.choices[0]!] }, DEFAULT_SETTINGS).chosen).toEqual([1]);
  expect(chooseAll.reason(half, DEFAULT_SETTINGS)).toEqual([
    'A and D show half past seven.',
    'B can be no time: its hands do not agree.',
    'C shows 6:30.',
    'E shows 8:30.',
  ]);
});

test('texts are right in digits and in every wording of the time', () => {
  expect(chooseAll.keyOf(words, DEFAULT_SETTINGS).chosen).toEqual([0, 1, 4]);
  expect(mark(words, 3).misconceptions).toEqual(['numeral-as-minutes']);
});

test('the answer ticks the right dials, the question none; texts stand on the board', () => {
  const ticks = (stage: ReturnType<typeof chooseAll.asked>) => dialsInOrder(stage).map(({ isKey }) => isKey);
  expect(ticks(chooseAll.asked(quarter, DEFAULT_SETTINGS))).toEqual([false, false, false, false]);
  expect(ticks(chooseAll.answered(quarter, DEFAULT_SETTINGS))).toEqual([true, true, false, false]);
  expect(chooseAll.answered(words, DEFAULT_SETTINGS).board).toEqual([
    'A  3:45 ✓',
    'B  quarter to four ✓',
    'C  4:45',
    'D  3:09',
    'E  three forty-five ✓',
  ]);
});

test('made items have distractors that ideas would take, all different and none of them right', () => {
  for (let seed = 0; seed < 60; seed++) {
    const item = chooseAll.make('made', seededRng(seed), RUNGS['quarter-to'], DEFAULT_SETTINGS);
    const key = chooseAll.keyOf(item, DEFAULT_SETTINGS).chosen;
    expect(key.length).toBeGreaterThanOrEqual(2);
    expect(item.choices.length).toBeGreaterThan(key.length);
    expect(new Set(item.choices.map((choice) => JSON.stringify(choice))).size).toBe(item.choices.length);
  }
});
