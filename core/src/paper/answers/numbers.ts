import type { SceneNode } from '../../scene/scene-node.js';
import { word } from '../text.js';
import { blank, blankHeight, blankWidth } from './blanks.js';
import type { PaperAnswer } from './paper-answer.js';

/** A box for each number, with its letter before it. */
export const numbersOnPaper: PaperAnswer<'numbers'> = {
  isWide: ({ labels }) => labels.length > 4,
  differs: null,
  draw({ labels, unit }, { x, top, width, size, look }) {
    const label = Math.max(0, ...labels.map((text) => look.measure(text, size, true))) + (labels.some(Boolean) ? size * 0.5 : 0);
    const behind = unit ? look.measure(unit, size, false) + size * 0.5 : 0;
    const cell = label + blankWidth(size) + behind + size;
    const inRow = Math.max(1, Math.floor((width + size) / cell));
    const rowHeight = blankHeight(size) + size * 0.6;
    const nodes = labels.flatMap((text, place): SceneNode[] => {
      const [left, y] = [x + (place % inRow) * cell, top + Math.floor(place / inRow) * rowHeight];
      const middle = y + blankHeight(size) / 2;
      return [
        ...(text ? [word(text, left, middle, { size, bold: true })] : []),
        blank(left + label, y, size),
        ...(unit ? [word(unit, left + label + blankWidth(size) + size * 0.4, middle, { size })] : []),
      ];
    });
    return { nodes, height: Math.ceil(labels.length / inRow) * rowHeight };
  },
};
