import { dialLetter } from '../../scene/describe-stage.js';
import { box } from '../strokes.js';
import { lineHeight, word } from '../text.js';
import { choiceCells } from './choice-cells.js';
import type { PaperAnswer } from './paper-answer.js';

/** Choices with a box to tick. */
export const choicesOnPaper: PaperAnswer<'choices'> = {
  isWide: ({ choices }) => choices.some((choice) => !('text' in choice)),
  differs: null,
  draw({ choices, several, layers }, place) {
    const { x, top, size, texts } = place;
    const cells = choiceCells(choices, layers, { ...place, top: top + lineHeight(size) }, (index, left, y) => [
      box(left, y - size * 0.6, size * 1.2, size * 1.2, 1.1, 'paper'),
      word(dialLetter(index), left + size * 1.8, y, { size, bold: true }),
    ]);
    const how = word(several ? texts.how.several : texts.how.one, x, top + lineHeight(size) / 2, { size: size * 0.85, fill: 'soft' });
    return { nodes: [how, ...cells.nodes], height: cells.height + lineHeight(size) };
  },
};
