import { dialLetter } from '../../scene/describe-stage.js';
import type { Choice } from '../../question-kinds/shapes/choices.js';
import type { SceneNode } from '../../scene/scene-node.js';
import { dialOnPaper } from '../dial-on-paper.js';
import { plate } from '../strokes.js';
import { lineHeight, linesOf, word } from '../text.js';
import type { PaperAnswer } from './paper-answer.js';

/** Cards on the left, partners on the right, joined by lines that pupils draw. */
export const pairsOnPaper: PaperAnswer<'pairs'> = {
  isWide: () => true,
  differs: null,
  draw({ cards, partners, layers }, { x, top, width, size, texts, look }) {
    const side = look.large ? 120 : 84;
    const half = width * 0.36;
    const isDial = (choice: Choice | undefined) => choice !== undefined && !('text' in choice);
    const rows = Math.max(cards.length, partners.length);
    const room = half - size * 3;
    const linesIn = (choice: Choice) => ('text' in choice ? linesOf(choice.text, room, { size }, look.measure).length : 1);
    const most = Math.max(...[...cards, ...partners].map(linesIn));
    const rowHeight = (isDial(cards[0]) || isDial(partners[0]) ? side : lineHeight(size) * (most + 0.4)) + size * 0.6;
    const first = top + lineHeight(size);
    const nodes: SceneNode[] = [word(texts.how.join, x, top + lineHeight(size) / 2, { size: size * 0.85, fill: 'soft' })];
    const dot = (cx: number, cy: number): SceneNode => ({ type: 'circle', id: '', cx, cy, r: 2.6, fill: 'ink' });
    for (let row = 0; row < rows; row++) {
      const y = first + rowHeight * (row + 0.5);
      const card = cards[row];
      if (card) {
        nodes.push(...plate(dialLetter(row), x + size, y, size), dot(x + half, y));
        // A card that is nothing but its letter stands at the picture.
        const isLetter = 'text' in card && card.text === dialLetter(row);
        if (!isLetter) nodes.push(...choiceAt(card, x + size * 2.4, y));
      }
      const partner = partners[row];
      if (partner) {
        const left = x + width - half;
        nodes.push(dot(left, y), ...plate(String(row + 1), left + size * 1.6, y, size), ...choiceAt(partner, left + size * 3, y));
      }
    }
    return { nodes, height: lineHeight(size) + rows * rowHeight };

    function choiceAt(choice: Choice, left: number, y: number): SceneNode[] {
      if (!('text' in choice)) return [dialOnPaper(choice, { ...layers, numerals: choice.numerals }, left, y - side / 2, side)];
      const lines = linesOf(choice.text, room, { size }, look.measure);
      return lines.map((text, row) => word(text, left, y + lineHeight(size) * (row - (lines.length - 1) / 2), { size }));
    }
  },
};
