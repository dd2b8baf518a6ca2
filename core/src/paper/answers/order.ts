import { dialLetter } from '../../scene/describe-stage.js';
import { plate } from '../strokes.js';
import { lineHeight, word } from '../text.js';
import { blank, blankHeight, blankWidth } from './blanks.js';
import { choiceCells } from './choice-cells.js';
import type { PaperAnswer } from './paper-answer.js';

/** Cards with letters, and a row of boxes for the letters in order. */
export const orderOnPaper: PaperAnswer<'order'> = {
  isWide: () => true,
  differs: null,
  draw({ cards, layers }, place) {
    const { x, top, size, texts } = place;
    const cells = choiceCells(cards, layers, place, (index, left, y) => plate(dialLetter(index), left + size, y, size * 0.9));
    const y = top + cells.height + lineHeight(size);
    const boxes = cards.flatMap((_, index) => {
      const left = x + index * (blankWidth(size) + size * 1.8);
      return [word(`${index + 1}.`, left, y + blankHeight(size) / 2, { size, bold: true }), blank(left + size * 1.4, y, size)];
    });
    const how = word(texts.how.order, x, y - lineHeight(size) / 2, { size: size * 0.85, fill: 'soft' });
    return { nodes: [...cells.nodes, how, ...boxes], height: y + blankHeight(size) - top };
  },
};
