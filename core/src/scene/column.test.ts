import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item } from '../question-kinds/registry.js';
import type { SceneNode } from './scene-node.js';
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
