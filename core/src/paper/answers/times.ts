import type { SceneNode } from '../../scene/scene-node.js';
import { word } from '../text.js';
import { blankHeight, timeBlank, timeBlankWidth } from './blanks.js';
import type { PaperAnswer } from './paper-answer.js';

/** A row of times with gaps to fill. */
export const timesOnPaper: PaperAnswer<'times'> = {
  isWide: () => true,
  differs: null,
  draw({ row, separator }, { x, top, width, size }) {
    const cell = timeBlankWidth(size) + size * 1.2;
    const inRow = Math.max(1, Math.floor(width / cell));
    const height = blankHeight(size) + size * 0.6;
    const nodes = row.flatMap((time, place): SceneNode[] => {
      const [left, y] = [x + (place % inRow) * cell, top + Math.floor(place / inRow) * height];
      if (time === null) return timeBlank(left, y, size, separator);
      return [word(time, left + timeBlankWidth(size) / 2, y + blankHeight(size) / 2, { size: size * 1.3, bold: true, anchor: 'middle' })];
    });
    return { nodes, height: Math.ceil(row.length / inRow) * height };
  },
};
