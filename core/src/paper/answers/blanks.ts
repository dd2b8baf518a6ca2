import type { DisplaySeparator } from '../../time/display.js';
import type { SceneNode } from '../../scene/scene-node.js';
import { box } from '../strokes.js';
import { word } from '../text.js';

/** Height of a box that a number is written in, in parts of the font size: children write large. */
const BOX_HEIGHT = 2.2;
const BOX_WIDTH = 3;

export const blankHeight = (size: number): number => size * BOX_HEIGHT;
export const blankWidth = (size: number): number => size * BOX_WIDTH;
/** Width of an hour box, the separator and a minute box. */
export const timeBlankWidth = (size: number): number => size * (2 * BOX_WIDTH + 1);

/** An empty box to write in. */
export function blank(x: number, top: number, size: number): SceneNode {
  return box(x, top, blankWidth(size), blankHeight(size), 1.1, 'paper');
}

/** Two boxes with the separator between them. */
export function timeBlank(x: number, top: number, size: number, separator: DisplaySeparator): SceneNode[] {
  const middle = x + blankWidth(size) + size / 2;
  return [
    blank(x, top, size),
    word(separator, middle, top + blankHeight(size) / 2, { size: size * 1.5, bold: true, anchor: 'middle' }),
    blank(x + blankWidth(size) + size, top, size),
  ];
}
