import { coordinate, type Ink, type PathNode, type SceneNode } from '../scene/scene-node.js';
import { word } from './text.js';

// What sheets are made of beside words and dials: lines to write on, boxes, lines to cut along. All in points.

/** A straight line. */
export function line(x1: number, y1: number, x2: number, y2: number, strokeWidth = 0.8, stroke: Ink = 'ink'): PathNode {
  const d = `M${coordinate(x1)} ${coordinate(y1)} L${coordinate(x2)} ${coordinate(y2)}`;
  return { type: 'path', id: '', d, fill: 'none', stroke, strokeWidth };
}

/** A line to write on. */
export const ruled = (x: number, y: number, width: number): PathNode => line(x, y, x + width, y, 0.7, 'soft');

export function box(
  x: number,
  y: number,
  width: number,
  height: number,
  strokeWidth = 1,
  fill: Ink = 'none',
  stroke: Ink = 'ink',
): PathNode {
  const [left, top, right, bottom] = [x, y, x + width, y + height].map(coordinate);
  return {
    type: 'path',
    id: '',
    d: `M${left} ${top} L${right} ${top} L${right} ${bottom} L${left} ${bottom} Z`,
    fill,
    stroke,
    strokeWidth,
  };
}

const DASH = 4;
const GAP = 3;

/** A dashed line: here it is cut or folded. */
export function dashed(x1: number, y1: number, x2: number, y2: number, stroke: Ink = 'soft'): PathNode {
  const length = Math.hypot(x2 - x1, y2 - y1);
  const at = (distance: number) =>
    `${coordinate(x1 + ((x2 - x1) * distance) / length)} ${coordinate(y1 + ((y2 - y1) * distance) / length)}`;
  const dashes: string[] = [];
  for (let from = 0; from < length; from += DASH + GAP) dashes.push(`M${at(from)} L${at(Math.min(length, from + DASH))}`);
  return { type: 'path', id: '', d: dashes.join(' '), fill: 'none', stroke, strokeWidth: 0.8 };
}

/** A rectangle to cut out. */
export function cutBox(x: number, y: number, width: number, height: number): PathNode[] {
  const [right, bottom] = [x + width, y + height];
  return [dashed(x, y, right, y), dashed(right, y, right, bottom), dashed(right, bottom, x, bottom), dashed(x, bottom, x, y)];
}

/** A letter or number on a round plate: names a choice. */
export function plate(text: string, cx: number, cy: number, size: number): SceneNode[] {
  return [
    { type: 'circle', id: '', cx, cy, r: size * 0.78, fill: 'paper', stroke: 'ink', strokeWidth: 1 },
    word(text, cx, cy, { size, bold: true, anchor: 'middle' }),
  ];
}
