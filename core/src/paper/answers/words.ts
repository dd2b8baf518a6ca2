import { ruled } from '../strokes.js';
import type { PaperAnswer } from './paper-answer.js';

/** Lines to write words on. */
export const wordsOnPaper: PaperAnswer<'words'> = {
  isWide: () => false,
  differs: 'There are no words to press: pupils write them out, and spell by themselves.',
  draw({ lines }, { x, top, width, size }) {
    const step = size * 2.3;
    const nodes = Array.from({ length: lines }, (_, index) => ruled(x, top + step * (index + 1) - size * 0.3, width));
    return { nodes, height: step * lines };
  },
};
