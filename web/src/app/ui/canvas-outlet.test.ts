import { PRINT_INKS } from '@zeitpunkt/core/scene/print-inks';
import type { SceneNode } from '@zeitpunkt/core/scene/scene-node';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import { NEW_BUILD, stageOfBuild } from '@zeitpunkt/core/stage/dial-build';
import { type CanvasPen, drawOnCanvas } from './canvas-outlet';

/** A pen that keeps what it is told, with the colour and the strength it had then. */
function pen() {
  const acts: string[] = [];
  const state = { fillStyle: '', strokeStyle: '', globalAlpha: 1, lineWidth: 1, font: '', textAlign: '' };
  const saved: (typeof state)[] = [];
  const own = {
    ...state,
    setTransform: (...numbers: number[]) => acts.push(`transform ${numbers.join(' ')}`),
    translate: (x: number, y: number) => acts.push(`translate ${x} ${y}`),
    rotate: (angle: number) => acts.push(`rotate ${Math.round((angle * 180) / Math.PI)}`),
    scale: (x: number, y: number) => acts.push(`scale ${x} ${y}`),
    fillRect: (...numbers: number[]) => acts.push(`rect ${numbers.join(' ')} ${own.fillStyle}`),
    fill: () => acts.push(`fill ${own.fillStyle} ${own.globalAlpha}`),
    stroke: () => acts.push(`stroke ${own.strokeStyle} ${own.lineWidth}`),
    fillText: (text: string, x: number, y: number) => acts.push(`text ${text} ${x} ${y} ${own.font} ${own.textAlign} ${own.fillStyle}`),
    save: () => saved.push({ ...own }),
    restore: () => Object.assign(own, saved.pop()!),
  };
  return { acts, depth: () => saved.length, pen: own as unknown as CanvasPen };
}
const draw = (nodes: readonly SceneNode[], width = 200, background: 'paper' | null = null) => {
  const made = pen();
  drawOnCanvas(made.pen, { width: 100, height: 50, nodes }, PRINT_INKS, width, background);
  return made;
};
beforeAll(() =>
  Object.assign(globalThis, {
    Path2D: class {
      arc() {}
    },
  }),
);
afterAll(() => delete (globalThis as unknown as Record<string, unknown>)['Path2D']);

test('the picture is as wide as wanted, on a sheet where one is wanted, and clear otherwise', () => {
  expect(draw([], 200, 'paper').acts).toEqual(['transform 2 0 0 2 0 0', `rect 0 0 100 50 ${PRINT_INKS.paper}`]);
  expect(draw([], 50).acts).toEqual(['transform 0.5 0 0 0.5 0 0']);
});

test('shapes are filled and drawn in their inks, at their own strength, and none of it reaches the next one', () => {
  const faint: SceneNode = { type: 'circle', id: 'a', cx: 5, cy: 5, r: 3, fill: 'minute', opacity: 0.5 };
  const edge: SceneNode = { type: 'path', id: 'b', d: 'M0 0 L5 5', fill: 'none', stroke: 'ink', strokeWidth: 2 };
  const { acts, depth } = draw([faint, edge]);
  expect(acts.slice(1)).toEqual([`fill ${PRINT_INKS.minute} 0.5`, `stroke ${PRINT_INKS.ink} 2`]);
  expect(depth()).toBe(0);
  expect(
    draw([
      { ...edge, strokeWidth: 0 },
      { ...faint, fill: 'none' },
    ]).acts,
  ).toHaveLength(1);
});

test('what stands in a group is drawn where the group stands, and words where their digits have their middle', () => {
  const text: SceneNode = { type: 'text', id: 't', x: 0, y: 10, text: '12', size: 10, bold: true, anchor: 'middle', fill: 'ink' };
  const { acts } = draw([{ type: 'group', id: 'g', x: 50, y: 25, scale: 2, turnDeg: 90, nodes: [text] }, text]);
  expect(acts.slice(1)).toEqual([
    'translate 50 25',
    'rotate 90',
    'scale 2 2',
    `text 12 0 13.6 700 10px Andika, sans-serif center ${PRINT_INKS.ink}`,
    `text 12 0 13.6 700 10px Andika, sans-serif center ${PRINT_INKS.ink}`,
  ]);
});

test('everything of a whole stage that has an ink is drawn, in the order of the scene', () => {
  const scene = stageScene(stageOfBuild({ ...NEW_BUILD, words: 'all' }));
  const texts = (nodes: readonly SceneNode[]): string[] =>
    nodes.flatMap((node) => (node.type === 'group' ? texts(node.nodes) : node.type === 'text' && node.fill !== 'none' ? [node.text] : []));
  const made = pen();
  drawOnCanvas(made.pen, scene, PRINT_INKS, 800, 'paper');
  const written = made.acts.flatMap((act) => /^text (.*?) -?[\d.]+(?:e-\d+)? -?[\d.]+ \d+/.exec(act)?.[1] ?? []);
  expect(written).toEqual(texts(scene.nodes));
  expect(made.acts.some((act) => act.includes('undefined'))).toBe(false);
});
