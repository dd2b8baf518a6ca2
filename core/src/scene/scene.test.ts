import { gearedPose } from '../dial/pose.js';
import { secondOfDay } from '../time/second-of-day.js';
import { dialScene } from './dial-scene.js';
import { describeStage } from './describe-stage.js';
import { dialOf, PLAIN_LAYERS, TEACHING_LAYERS, type DialLayers, type DialState } from './dial-state.js';
import { pointAt, type GroupNode, type Scene, type SceneNode, type TextNode } from './scene-node.js';
import { stageScene, tallHeight, type StageLayout } from './stage-scene.js';
import { CLEAR_STAGE, displayOf, type StageState } from './stage-state.js';
import { wrapText } from './wrap-text.js';

const dial = (hour: number, minute: number, layers: Partial<DialLayers> = {}): DialState =>
  dialOf(gearedPose(secondOfDay(hour, minute)), { ...TEACHING_LAYERS, ...layers });
const stage = (change: Partial<StageState>): StageState => ({ ...CLEAR_STAGE, dial: dial(4, 30), ...change });
const groupOf = (scene: Scene) => scene.nodes[0] as GroupNode;
const idsIn = (nodes: readonly SceneNode[]): string[] =>
  nodes.flatMap((node) => [node.id, ...(node.type === 'group' ? idsIn(node.nodes) : [])]);
const find = (scene: Scene, id: string) => groupOf(scene).nodes.find((node) => node.id === id);

test('a scene is plain data with ids that are unique, with every layer and mark on', () => {
  const everything: DialState = {
    ...dial(2, 45, { minuteRing: 'full', hourZones: true, quarters: true, shaded: true }),
    marks: [
      { type: 'hand', hand: 'hour' },
      { type: 'numeral', numeral: 2 },
      { type: 'ray', deg: 90 },
      { type: 'count', toMinute: 45, by: 5 },
    ],
  };
  const scene = stageScene(
    stage({
      dial: everything,
      display: displayOf('2', null, ':'),
      words: ['a', 'b'],
      board: ['c'],
      stem: 'd',
      countdown: { totalMs: 9, leftMs: 4 },
    }),
  );
  const ids = idsIn(scene.nodes);
  expect(new Set(ids).size).toBe(ids.length);
  expect(JSON.parse(JSON.stringify(scene))).toEqual(scene);
});

test('every layer draws something of its own and nothing when it is off', () => {
  const bare: Partial<DialLayers> = { numerals: 'none', ticks: false, minuteRing: 'none', hourHand: false, minuteHand: false };
  const count = (layers: Partial<DialLayers>) => idsIn(dialScene(dial(4, 30, { ...bare, ...layers })).nodes).length;
  const nothing = count({});
  const added = [
    { numerals: 'all' },
    { numerals: 'quarters' },
    { ticks: true },
    { minuteRing: 'full' },
    { minuteRing: 'quarters' },
    { hourZones: true },
    { halves: true },
    { quarters: true },
    { shaded: true },
  ] as const;
  expect(added.map((layers) => count(layers) - nothing)).toEqual([12, 4, 60, 12, 4, 6, 2, 4, 1]);
});

test('the hands stand where the pose says, the minute hand on top', () => {
  const nodes = groupOf(dialScene(dial(8, 50))).nodes;
  const hands = nodes.filter((node): node is GroupNode => node.type === 'group');
  expect(hands.map(({ role, turnDeg }) => [role, turnDeg])).toEqual([
    ['hour-hand', 265],
    ['minute-hand', 300],
  ]);
});

test('an hour hand under the minute hand shows through it', () => {
  const shape = (hour: number, minute: number) => (find(dialScene(dial(hour, minute)), 'minute-hand') as GroupNode).nodes[0];
  expect(shape(1, 5)).toMatchObject({ fill: 'none', stroke: 'minute' });
  expect(shape(1, 15)).toMatchObject({ fill: 'minute' });
});

test('the same layers give the very same face, so that outlets can skip it', () => {
  const [one, two] = [dialScene({ ...dial(1, 0), layers: PLAIN_LAYERS }), dialScene({ ...dial(2, 0), layers: PLAIN_LAYERS })];
  expect(find(one, 'tick-7')).toBe(find(two, 'tick-7'));
});

test('a count on the rim writes the numbers reached so far, and 00 for the full turn', () => {
  const counted = (toMinute: number) =>
    idsIn(dialScene({ ...dial(4, 0, { minuteRing: 'none' }), marks: [{ type: 'count', toMinute, by: 15 }] }).nodes).filter((id) =>
      /^count-\d/.test(id),
    );
  expect(counted(45)).toEqual(['count-15', 'count-30', 'count-45']);
  const full = dialScene({ ...dial(5, 0), marks: [{ type: 'count', toMinute: 60, by: 15 }] });
  expect(find(full, 'count-60')).toMatchObject({ text: '00' });
});

test('everything written stays inside the stage, in both layouts, also with a board that is too long', () => {
  const long = Array.from({ length: 12 }, (_, line) => `Line ${line} of a board that a teacher has filled up to the very edge of it`);
  for (const layout of ['wide', 'tall'] as const) {
    const scene = stageScene(stage({ display: displayOf('4', '30', ':'), words: ['half past four', 'four thirty'], board: long }), layout);
    const texts = scene.nodes.filter((node) => node.type === 'text');
    for (const text of texts) expect(text.y + text.size / 2).toBeLessThanOrEqual(scene.height);
    expect(texts.at(-1)!.id).toMatch(/^board-11-/);
  }
});

test('an upright stage is as low as what is written lets it be, with the dial and the words as they are on the whole one', () => {
  const states = [
    stage({}),
    stage({ display: displayOf('4', '30', ':') }),
    stage({ display: displayOf('4', '30', ':'), words: ['half past four', 'four thirty'] }),
    stage({ display: displayOf('4', '30', ':'), words: ['half past four'], board: ['The long hand is half way round: 30 minutes.'] }),
  ];
  const heights = states.map((state) => tallHeight([state]));
  expect(heights).toEqual([820, 1000, 1220, 1420]);
  expect(tallHeight(states)).toBe(1420); // what is to come has its place already
  for (const [index, state] of states.entries()) {
    const [low, whole] = [stageScene(state, 'tall', heights[index]), stageScene(state, 'tall')];
    expect(low.nodes).toEqual(whole.nodes);
    for (const node of low.nodes) if (node.type === 'text') expect(node.y + node.size / 2).toBeLessThanOrEqual(low.height);
  }
});

test('texts break at spaces and lose no word', () => {
  const lines = wrapText('one two three four five six seven', 120, 20);
  expect(lines.length).toBeGreaterThan(1);
  expect(lines.join(' ')).toBe('one two three four five six seven');
  for (const line of lines) expect(line.length).toBeLessThanOrEqual(11);
});

test('a stage without hands is described without hands', () => {
  expect(describeStage(stage({ dial: dial(4, 30, { hourHand: false, minuteHand: false }), stem: 'Set the hands.' }))).toBe(
    'Set the hands. A clock dial without hands.',
  );
  expect(describeStage(stage({ dial: dial(4, 30, { minuteHand: false }) }))).toBe(
    'A clock dial with one hand. The short hour hand points between 4 and 5.',
  );
});

test('several dials are described by their letters, and lines and strips say where they stand', () => {
  const several = stage({
    dial: dial(9, 0),
    dials: [dial(4, 0)],
    dialPlace: 1,
    stem: 'Which one shows 9 o’clock?',
    bands: [
      { type: 'hour-line', hour: 12, by: 5, at: 25, jumps: [] },
      { type: 'fraction-circle', parts: 4, filled: 2.5 },
    ],
  });
  expect(describeStage(several)).toMatch(/^Which one shows 9 o’clock\? A: A clock dial\..*at 4\..* B: A clock dial\..*at 9\./);
  const answered = stage({ dial: dial(9, 0), dials: [{ ...dial(4, 0), isKey: true }] });
  expect(describeStage(answered)).toMatch(/^A: .*at 12\. B: .* This one is right\.$/);
  expect(stageScene(answered).nodes.map((node) => (node.type === 'text' ? node.text : ''))).toEqual(expect.arrayContaining(['A', 'B ✓']));
  expect(describeStage(several)).toContain('A line from 12 o’clock to 1 o’clock, at 25 minutes. A circle in 4 parts, 2.5 of them filled.');
  const german = describeStage(several, 'de');
  expect(german).toMatch(/A: Eine Uhr\. Der kurze Stundenzeiger zeigt .*auf die 4\..* B: /);
  expect(german).toContain('Eine Linie von 12 Uhr bis 1 Uhr, bei 25 Minuten. Ein Kreis aus 4 Teilen, 2.5 davon gefüllt.');
  const day = { type: 'day-line', atSec: 27_000, events: [{ atSec: 59_400, text: 'mail boat' }] } as const;
  expect(describeStage(stage({ dial: null, bands: [day] }))).toBe('The day from midnight to midnight, at 07:30, with 16:30 mail boat.');
});

test('several dials stand in as many rows as make them largest, upright and wide', () => {
  const rows = (count: number, layout: StageLayout) => {
    const { nodes } = stageScene(stage({ dial: dial(1, 0), dials: Array.from({ length: count - 1 }, () => dial(2, 0)) }), layout);
    return new Set(nodes.filter((node): node is GroupNode => node.type === 'group' && node.role === 'dial').map(({ y }) => y)).size;
  };
  expect([2, 4, 5, 8].map((count) => rows(count, 'wide'))).toEqual([1, 1, 2, 2]);
  expect([2, 4, 6, 8].map((count) => rows(count, 'tall'))).toEqual([2, 2, 3, 4]);
});

test('the count on an arc covers no numeral, wherever the arc lies, and gives way to the hands', () => {
  const plateOf = (fromMinute: number, toMinute: number, by: 1 | 5 | 15, at: DialState) => {
    const scene = dialScene({ ...at, marks: [{ type: 'arc', fromMinute, toMinute, by }] });
    const text = find(scene, 'arc-text-0') as TextNode;
    const width = text.text.length * 2.75 + 3;
    return { clear: (x: number, y: number) => Math.abs(x - text.x) > width || Math.abs(y - text.y) > 7, scene };
  };
  for (let from = 0; from < 60; from += 5)
    for (let to = 0; to < 60; to += 5) {
      const { clear, scene } = plateOf(from, to, 5, dial(12, 0));
      for (const node of groupOf(scene).nodes)
        if (/^numeral-/.test(node.id)) expect(clear((node as TextNode).x, (node as TextNode).y)).toBe(true);
    }
  const onHand = (deg: number) => [20, 30, 40, 50].map((reach) => pointAt(deg, reach));
  const hour = plateOf(30, 0, 15, dial(8, 20));
  expect(onHand(250).every(([x, y]) => hour.clear(x, y))).toBe(true);
  const minute = plateOf(0, 15, 5, dial(4, 5)); // a short arc with a hand in its midst
  expect(onHand(30).every(([x, y]) => minute.clear(x, y))).toBe(true);
});
