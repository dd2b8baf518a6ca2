import { EMPTY_LAYERS } from '../../scene/dial-state.js';
import type { SceneNode } from '../../scene/scene-node.js';
import { dialOnPaper } from '../dial-on-paper.js';
import { lineHeight, word } from '../text.js';
import type { PaperAnswer } from './paper-answer.js';

/** A dial without hands, to draw them. */
export const poseOnPaper: PaperAnswer<'pose'> = {
  isWide: () => false,
  differs: 'Hands are drawn and do not move together. Type in where they were drawn, such as 8/6, so that a wrong short hand is seen.',
  draw({ layers }, { x, top, width, size, texts, look }) {
    const side = Math.min(width, look.large ? 250 : 150);
    const dialTop = top + lineHeight(size);
    const left = x + (width - side) / 2;
    const noHands = { ...layers, hourHand: EMPTY_LAYERS.hourHand, minuteHand: EMPTY_LAYERS.minuteHand };
    const dot: SceneNode = { type: 'circle', id: '', cx: left + side / 2, cy: dialTop + side / 2, r: 2.4, fill: 'ink' };
    return {
      nodes: [
        word(texts.how.draw, x, top + lineHeight(size) / 2, { size: size * 0.85, fill: 'soft' }),
        dialOnPaper({ hourDeg: 0, minuteDeg: 0 }, noHands, left, dialTop, side),
        dot,
      ],
      height: side + lineHeight(size),
    };
  },
};
