import { areaOf, pageOf, type Area, type PaperLook, type PaperPage } from './paper-page.js';
import type { SceneNode } from '../scene/scene-node.js';
import { word, type Drawn } from './text.js';

/** Something that takes a column or the whole width, drawn once its place is known. It is never broken over two pages. */
export interface Block {
  /** Whether it wants the whole width. */
  readonly wide: boolean;
  draw(x: number, top: number, width: number): Drawn;
}

export interface FlowWish {
  readonly title: string;
  /** How many columns narrow blocks stand in. */
  readonly columns: 1 | 2;
  /** Drawn at the top of each page. @param page from 0 */
  head?(area: Area, page: number): Drawn;
  /** A line at the bottom of each page. */
  readonly foot?: string;
}

const GUTTER = 24;
const BLOCK_GAP = 16;
const FOOT_SIZE = 8.5;
const FOOT_HEIGHT = 16;

/** Puts blocks on pages in their order: narrow ones side by side, wide ones below each other. */
export function flow(blocks: readonly Block[], { title, columns, head, foot }: FlowWish, look: PaperLook): PaperPage[] {
  const area = areaOf(look);
  const bottom = area.y + area.height - FOOT_HEIGHT;
  const columnWidth = (area.width - GUTTER * (columns - 1)) / columns;
  const pages: SceneNode[][] = [];
  let nodes: SceneNode[] = [];
  let top = 0;
  const turnPage = () => {
    nodes = [];
    pages.push(nodes);
    const drawn = head?.(area, pages.length - 1) ?? { nodes: [], height: 0 };
    nodes.push(...drawn.nodes);
    top = area.y + drawn.height;
  };
  turnPage();
  let firstTop = top;
  for (const row of rowsOf(blocks, columns)) {
    const draw = () =>
      row.map((block, column) =>
        block.wide ? block.draw(area.x, top, area.width) : block.draw(area.x + column * (columnWidth + GUTTER), top, columnWidth),
      );
    let drawn = draw();
    const heightOf = () => Math.max(...drawn.map(({ height }) => height));
    if (top + heightOf() > bottom && top > firstTop) {
      turnPage();
      firstTop = top;
      drawn = draw();
    }
    nodes.push(...drawn.flatMap((one) => one.nodes));
    top += heightOf() + BLOCK_GAP;
  }
  return pages.map((all, index) => {
    const number = pages.length > 1 ? `${index + 1} / ${pages.length}` : '';
    const footY = area.y + area.height - FOOT_HEIGHT / 2;
    return pageOf(look, pages.length > 1 ? `${title}, ${number}` : title, [
      ...all,
      ...(foot ? [word(foot, area.x, footY, { size: FOOT_SIZE, fill: 'soft' })] : []),
      word(number, area.x + area.width, footY, { size: FOOT_SIZE, fill: 'soft', anchor: 'end' }),
    ]);
  });
}

/** Narrow blocks that follow each other share a row. */
function rowsOf(blocks: readonly Block[], columns: number): Block[][] {
  const rows: Block[][] = [];
  for (const block of blocks) {
    const row = rows.at(-1);
    if (row && !block.wide && !row[0]!.wide && row.length < columns) row.push(block);
    else rows.push([block]);
  }
  return rows;
}
