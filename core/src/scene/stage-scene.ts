import { dialGroup } from './dial-scene.js';
import type { Ink, Scene, SceneNode } from './scene-node.js';
import type { DisplayState, StageState } from './stage-state.js';
import { wrapText } from './wrap-text.js';

/** How a stage is laid out, in scene units: where the dial stands and the column for what is written about it. */
interface Layout {
  readonly width: number;
  readonly height: number;
  readonly dialX: number;
  readonly dialY: number;
  readonly dialScale: number;
  readonly columnX: number;
  readonly columnY: number;
  readonly columnWidth: number;
}

const LAYOUTS = {
  /** 16 to 9, for sharing: the dial large on the left, the column on the right. */
  wide: { width: 1600, height: 900, dialX: 460, dialY: 450, dialScale: 3.45, columnX: 950, columnY: 90, columnWidth: 590 },
  /** For a phone held upright: the column under the dial. */
  tall: { width: 760, height: 1420, dialX: 380, dialY: 372, dialScale: 2.95, columnX: 60, columnY: 760, columnWidth: 640 },
} as const satisfies Record<string, Layout>;

/** Distance of two lines in parts of the font size. */
const LINE_HEIGHT = 1.22;

export type StageLayout = keyof typeof LAYOUTS;

/** The stage as one scene. */
export function stageScene(state: StageState, layout: StageLayout = 'wide'): Scene {
  const place: Layout = LAYOUTS[layout];
  const nodes: SceneNode[] = [];
  const alone = isDialAlone(state);
  if (state.dial) nodes.push(dialGroup(state.dial, alone ? place.width / 2 : place.dialX, place.dialY, place.dialScale));
  let y = place.columnY;
  if (state.stem) y = paragraph(nodes, place, 'stem', state.stem, y, 52, 'ink', true) + 30;
  if (state.display) y = display(nodes, place, state.display, y) + 50;
  state.words.forEach((line, index) => {
    y = paragraph(nodes, place, `words-${index}`, line, y + 8, index === 0 ? 60 : 44, index === 0 ? 'ink' : 'soft', index === 0) + 10;
  });
  board(nodes, place, state.board, y > place.columnY ? y + 24 : y);
  if (state.countdown) countdown(nodes, place, state.countdown);
  return { width: place.width, height: place.height, nodes };
}

const BOARD_SIZE = 36;
const BOARD_GAP = 14;

/** The lines of the board; where they would run out of the stage, the oldest ones give way. */
function board(nodes: SceneNode[], place: Layout, lines: readonly string[], top: number): void {
  const heightOf = (line: string) => wrapText(line, place.columnWidth, BOARD_SIZE).length * BOARD_SIZE * LINE_HEIGHT + BOARD_GAP;
  let room = place.height - 30 - top;
  let first = lines.length;
  while (first > 0 && room >= heightOf(lines[first - 1]!)) room -= heightOf(lines[--first]!);
  let y = top;
  for (const [index, line] of lines.entries()) {
    if (index < first) continue;
    y = paragraph(nodes, place, `board-${index}`, line, y, BOARD_SIZE, index === lines.length - 1 ? 'ink' : 'soft', false) + BOARD_GAP;
  }
}

function isDialAlone(state: StageState): boolean {
  return !state.stem && !state.display && !state.countdown && state.words.length === 0 && state.board.length === 0;
}

/** Adds a wrapped text from `top` down and returns the y below it. */
function paragraph(
  nodes: SceneNode[],
  place: Layout,
  id: string,
  text: string,
  top: number,
  size: number,
  fill: Ink,
  bold: boolean,
): number {
  const lines = wrapText(text, place.columnWidth, size * (bold ? 1.06 : 1));
  lines.forEach((line, index) => {
    nodes.push({
      type: 'text',
      id: `${id}-${index}`,
      x: place.columnX,
      y: top + size * (0.6 + index * LINE_HEIGHT),
      text: line,
      size,
      bold,
      anchor: 'start',
      fill,
    });
  });
  return top + size * LINE_HEIGHT * lines.length;
}

function display(nodes: SceneNode[], place: Layout, state: DisplayState, top: number): number {
  const height = 190;
  const half = 250;
  const middle = place.columnX + half + 30;
  const boxes = [
    { id: 'hour', x: place.columnX, text: state.hour, ink: 'hour' },
    { id: 'minute', x: middle + 30, text: state.minute, ink: 'minute' },
  ] as const;
  for (const box of boxes) {
    nodes.push({
      type: 'path',
      id: `display-${box.id}-box`,
      d: boxPath(box.x, top, half, height, 20),
      fill: 'face',
      stroke: box.text === null ? 'soft' : 'ink',
      strokeWidth: 4,
    });
    if (box.text !== null) {
      nodes.push({
        type: 'text',
        id: `display-${box.id}`,
        x: box.x + half / 2,
        y: top + height / 2,
        text: box.text,
        size: 140,
        bold: true,
        anchor: 'middle',
        fill: box.ink,
      });
    }
  }
  nodes.push({
    type: 'text',
    id: 'display-separator',
    x: middle,
    y: top + height / 2 - 6,
    text: state.separator,
    size: 130,
    bold: true,
    anchor: 'middle',
    fill: 'ink',
  });
  return top + height;
}

function boxPath(x: number, y: number, width: number, height: number, r: number): string {
  const [right, bottom] = [x + width, y + height];
  return `M${x + r} ${y} L${right - r} ${y} Q${right} ${y} ${right} ${y + r} L${right} ${bottom - r} Q${right} ${bottom} ${right - r} ${bottom} L${x + r} ${bottom} Q${x} ${bottom} ${x} ${bottom - r} L${x} ${y + r} Q${x} ${y} ${x + r} ${y} Z`;
}

/** Think time left: a thin line that shortens, and the whole seconds. */
function countdown(nodes: SceneNode[], place: Layout, state: NonNullable<StageState['countdown']>): void {
  const y = place.height - 70;
  const part = state.totalMs > 0 ? state.leftMs / state.totalMs : 0;
  const bar = (id: string, width: number, stroke: Ink): SceneNode => ({
    type: 'path',
    id,
    d: `M${place.columnX} ${y} L${(place.columnX + width).toFixed(1)} ${y}`,
    fill: 'none',
    stroke,
    strokeWidth: 14,
  });
  nodes.push(bar('countdown-track', 480, 'faint'));
  if (part > 0) nodes.push(bar('countdown-left', 480 * part, 'accent'));
  nodes.push({
    type: 'text',
    id: 'countdown-seconds',
    x: place.columnX + place.columnWidth,
    y,
    text: String(Math.ceil(state.leftMs / 1000)),
    size: 52,
    bold: true,
    anchor: 'end',
    fill: 'ink',
  });
}
