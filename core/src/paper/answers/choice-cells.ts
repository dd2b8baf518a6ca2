import type { DialLayers } from '../../scene/dial-state.js';
import type { SceneNode } from '../../scene/scene-node.js';
import { dialOnPaper } from '../dial-on-paper.js';
import { linesOf, lineHeight, word, type Drawn } from '../text.js';
import type { Choice } from '../../question-kinds/shapes/choices.js';
import type { AnswerPlace } from './paper-answer.js';

/** What stands before a choice: a box with its letter. Given the left edge and the middle of its first line. */
export type DrawLabel = (place: number, x: number, y: number) => SceneNode[];

const GAP = 12;

/** How many of so many dials stand in a row, and how large each is, in points: all beside each other while they can be read. */
function rowOf(dials: number, { width, look }: AnswerPlace): { readonly inRow: number; readonly side: number } {
  const most = look.large ? 3 : 5;
  const inRow = Math.max(1, Math.ceil(dials / Math.ceil(dials / most)));
  return { inRow, side: Math.min((width - (inRow - 1) * GAP) / inRow, look.large ? 150 : 104) };
}

/** Choices in rows: dials with their labels under them, texts one under the other. */
export function choiceCells(choices: readonly Choice[], layers: DialLayers, place: AnswerPlace, label: DrawLabel): Drawn {
  const { x, top, width, size, look } = place;
  const labelWidth = size * 3.4;
  let y = top;
  const nodes: SceneNode[] = [];
  const { inRow, side } = rowOf(choices.filter((choice) => !('text' in choice)).length, place);
  let inThisRow = 0;
  choices.forEach((choice, index) => {
    if ('text' in choice) {
      const lines = linesOf(choice.text, width - labelWidth, { size }, look.measure);
      nodes.push(...label(index, x, y + lineHeight(size) / 2));
      lines.forEach((text, row) => nodes.push(word(text, x + labelWidth, y + lineHeight(size) * (row + 0.5), { size })));
      y += lines.length * lineHeight(size) + size * 0.45;
      return;
    }
    if (inThisRow === inRow) {
      inThisRow = 0;
      y += side + size * 2.6;
    }
    const left = x + inThisRow * (side + GAP);
    nodes.push(dialOnPaper(choice, { ...layers, numerals: choice.numerals }, left, y, side));
    nodes.push(...label(index, left + side / 2 - labelWidth / 2, y + side + size * 1.1));
    inThisRow += 1;
  });
  if (inThisRow > 0) y += side + size * 2.4;
  return { nodes, height: y - top };
}
