import type { Ink, SceneNode, TextNode } from '../scene/scene-node.js';
import type { Measure } from './paper-page.js';

/** How words are set. */
export interface TextStyle {
  /** Font size in points. */
  readonly size: number;
  readonly bold?: boolean;
  readonly fill?: Ink;
  readonly anchor?: TextNode['anchor'];
}

/** Something drawn from a top edge downwards, with the height it takes. */
export interface Drawn {
  readonly nodes: readonly SceneNode[];
  /** In points. */
  readonly height: number;
}

/** Height of a line in parts of the font size. */
const LEADING = 1.32;

export const lineHeight = (size: number): number => size * LEADING;

/** One line of words; `y` is the middle of its digits. */
export function word(text: string, x: number, y: number, { size, bold = false, fill = 'ink', anchor = 'start' }: TextStyle): TextNode {
  return { type: 'text', id: '', x, y, text, size, bold, anchor, fill };
}

/** Lines of a text that fit a width, broken at spaces and where it says so; a word that is longer than a line is cut. */
export function linesOf(text: string, width: number, { size, bold = false }: TextStyle, measure: Measure): string[] {
  return text.split('\n').flatMap((part) => {
    const lines: string[] = [];
    let line = '';
    for (const piece of part
      .split(/\s+/)
      .filter(Boolean)
      .flatMap((one) => cut(one, width, size, bold, measure))) {
      const longer = line ? `${line} ${piece}` : piece;
      if (line && measure(longer, size, bold) > width) {
        lines.push(line);
        line = piece;
      } else {
        line = longer;
      }
    }
    return [...lines, line];
  });
}

function cut(piece: string, width: number, size: number, bold: boolean, measure: Measure): string[] {
  if (measure(piece, size, bold) <= width) return [piece];
  const parts: string[] = [];
  let part = '';
  for (const sign of piece) {
    if (part && measure(part + sign, size, bold) > width) {
      parts.push(part);
      part = '';
    }
    part += sign;
  }
  return [...parts, part];
}

/** A text in lines under a top edge, from the left, the middle or the right of its width. */
export function paragraph(text: string, x: number, top: number, width: number, style: TextStyle, measure: Measure): Drawn {
  const { size, anchor = 'start' } = style;
  const at = { start: x, middle: x + width / 2, end: x + width }[anchor];
  const nodes = linesOf(text, width, style, measure).map((line, row) => word(line, at, top + lineHeight(size) * (row + 0.5), style));
  return { nodes, height: nodes.length * lineHeight(size) };
}
