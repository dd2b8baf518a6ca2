import type { Ink, PathNode, TextNode } from '../scene-node.js';

/** A line without a filling. */
export function stroke(id: string, d: string, ink: Ink, width: number): PathNode {
  return { type: 'path', id, d, fill: 'none', stroke: ink, strokeWidth: width };
}

/** A centred text. */
export function label(id: string, x: number, y: number, text: string, size: number, fill: Ink, bold = false): TextNode {
  return { type: 'text', id, x, y, text, size, bold, anchor: 'middle', fill };
}
