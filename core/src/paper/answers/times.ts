import type { SceneNode } from '../../scene/scene-node.js';
import { word } from '../text.js';
import { blankHeight, timeBlank, timeBlankWidth } from './blanks.js';
import type { PaperAnswer } from './paper-answer.js';

/** A row of times with gaps to fill. */
export const timesOnPaper: PaperAnswer<'times'> = {
  isWide: () => true,
  differs: null,
  draw({ row, separator }, { x, top, width, size, look }) {
    const gap = size * 1.4;
    const rowHeight = blankHeight(size) + size * 0.6;
    const nodes: SceneNode[] = [];
    let [left, y] = [x, top];
    for (const time of row) {
      const taken = time === null ? timeBlankWidth(size) : look.measure(time, size * 1.3, true);
      if (left > x && left + taken > x + width) [left, y] = [x, y + rowHeight];
      if (time === null) nodes.push(...timeBlank(left, y, size, separator));
      else nodes.push(word(time, left, y + blankHeight(size) / 2, { size: size * 1.3, bold: true }));
      left += taken + gap;
    }
    return { nodes, height: y + rowHeight - top };
  },
};
