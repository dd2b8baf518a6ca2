import { bandKindOf } from '../../scene/bands/registry.js';
import type { PaperAnswer } from './paper-answer.js';

/** Bands are drawn for a stage of this width; on paper they are made smaller as a whole. */
const STAGE_WIDTH = 1180;
const STAGE_HEIGHT = 210;

/** A line without its marker: pupils draw an arrow. */
export const lineOnPaper: PaperAnswer<'line'> = {
  isWide: () => true,
  differs: null,
  draw({ line }, { x, top, width, size }) {
    const inset = size * 2;
    const scale = (width - 2 * inset) / STAGE_WIDTH;
    const nodes = bandKindOf(line).nodes(line, { x: 0, y: 0, width: STAGE_WIDTH, height: STAGE_HEIGHT }, 'band');
    return { nodes: [{ type: 'group', id: '', x: x + inset, y: top, scale, turnDeg: 0, nodes }], height: STAGE_HEIGHT * scale };
  },
};
