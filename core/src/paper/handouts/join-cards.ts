import type { SceneNode } from '../../scene/scene-node.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { cutBox } from '../strokes.js';
import { linesOf, paragraph } from '../text.js';

/** A picture of squares that a camera reads. */
export interface QrMatrix {
  /** Squares on a side. */
  readonly size: number;
  /** Row by row whether a square is dark. */
  readonly dark: readonly boolean[];
}

export interface JoinCardOnPaper {
  readonly name: string;
  /** The address that it leads to, for those without a camera. */
  readonly link: string;
  readonly qr: QrMatrix;
}

/** Join cards to cut out, ten on a page; large, six. */
export function joinCardsPages(cards: readonly JoinCardOnPaper[], className: string, look: PaperLook): PaperPage[] {
  const area = areaOf(look);
  const [columns, rows] = [2, look.large ? 3 : 5];
  const [width, height] = [area.width / columns, area.height / rows];
  const pages: PaperPage[] = [];
  const perPage = columns * rows;
  for (let first = 0; first < cards.length; first += perPage) {
    const nodes = cards.slice(first, first + perPage).flatMap((card, index): SceneNode[] => {
      const [x, y] = [area.x + (index % columns) * width, area.y + Math.floor(index / columns) * height];
      const side = Math.min(height - 24, width * 0.46);
      const left = x + 12 + side + 12;
      const room = width - side - 34;
      const large = look.large ? 22 : 16;
      // A long name is written smaller, so that the address stays on the card.
      const isLong = linesOf(card.name, room, { size: large, bold: true }, look.measure).length > 2;
      const name = paragraph(card.name, left, y + 14, room, { size: isLong ? large * 0.65 : large, bold: true }, look.measure);
      const of = paragraph(className, left, y + 14 + name.height, room, { size: 10, fill: 'soft' }, look.measure);
      const link = paragraph(card.link.replace('#', '\n#'), left, y + 20 + name.height + of.height, room, { size: 8 }, look.measure);
      return [
        ...cutBox(x, y, width, height),
        qrNode(card.qr, x + 12, y + (height - side) / 2, side),
        ...name.nodes,
        ...of.nodes,
        ...link.nodes,
      ];
    });
    pages.push(pageOf(look, `${className}, ${first + 1}`, nodes));
  }
  return pages;
}

function qrNode({ size, dark }: QrMatrix, x: number, y: number, side: number): SceneNode {
  const squares = dark.flatMap((isDark, at) => {
    const [column, row] = [at % size, Math.floor(at / size)];
    return isDark ? [`M${column} ${row} L${column + 1} ${row} L${column + 1} ${row + 1} L${column} ${row + 1} Z`] : [];
  });
  return {
    type: 'group',
    id: '',
    x,
    y,
    scale: side / size,
    turnDeg: 0,
    nodes: [{ type: 'path', id: 'qr', d: squares.join(' '), fill: 'ink' }],
  };
}
