import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item } from '../question-kinds/registry.js';
import { secondOfDay } from '../time/second-of-day.js';
import { gearedPose } from '../dial/pose.js';
import { dialOf, PLAIN_LAYERS } from './dial-state.js';
import type { SceneNode } from './scene-node.js';
import { CLEAR_STAGE } from './stage-state.js';
import { stageScene } from './stage-scene.js';

const items = QUESTION_KIND_IDS.flatMap((id) => QUESTION_KINDS[id].samples as readonly Item[]);
const inksOf = (nodes: readonly SceneNode[]): unknown[] =>
  nodes.flatMap((node) => [
    ...(node.type === 'text' && node.id.includes('board-') ? [node.fill] : []),
    ...('children' in node ? inksOf(node.children as readonly SceneNode[]) : []),
  ]);

test('while something is asked all lines beside it are drawn alike: no choice looks like the answer', () => {
  let lines = 0;
  for (const item of items) {
    const inks = inksOf(stageScene(kindOf(item).asked(item, DEFAULT_SETTINGS), 'wide').nodes);
    lines += inks.length;
    expect(new Set(inks).size).toBeLessThanOrEqual(1);
  }
  expect(lines).toBeGreaterThan(20);
});

test('choices are as large as there is room for all of them, and none is left out', () => {
  const sizesOf = (board: readonly string[]) =>
    stageScene(
      { ...CLEAR_STAGE, dial: dialOf(gearedPose(secondOfDay(0, 0)), PLAIN_LAYERS), stem: 'What time is it?', board },
      'wide',
    ).nodes.flatMap((node) => (node.type === 'text' && node.id.startsWith('board-') ? [node.size] : []));
  const [few, many] = [['A  7:30', 'B  8:30'], Array.from({ length: 9 }, (_, at) => `${'ABCDEFGHI'[at]}  half past seven`)];
  expect(sizesOf(few)).toEqual([64, 64]);
  const sizes = sizesOf(many);
  expect(sizes).toHaveLength(9);
  expect(new Set(sizes).size).toBe(1);
  expect(sizes[0]).toBeLessThan(64);
});
