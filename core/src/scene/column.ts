import type { Ink, SceneNode } from './scene-node.js';
import type { DisplayState, StageState } from './stage-state.js';
import { wrapText } from './wrap-text.js';

/** The column beside or under the dial, in scene units. */
export interface Column {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  /** Where it ends at the bottom. */
  readonly bottom: number;
  readonly textScale: number;
}

/** Distance of two lines in parts of the font size. */
const LINE_HEIGHT = 1.22;
/** Font sizes of the board, the largest first, of which the first is taken that has room for all lines. */
const BOARD_SIZES = [42, 36];
/** The same of choices, which stand there all at once: children read them from far away. */
const CHOICE_SIZES = [64, 56, 48, 42, 36];
const BOARD_GAP = 14;

/** What is written about the dial: stem, display, wordings, board, think time. */
export function columnNodes(state: StageState, column: Column): SceneNode[] {
  const nodes: SceneNode[] = [];
  let y = column.y;
  if (state.stem) y = paragraph(nodes, column, { id: 'stem', text: state.stem, size: 52, fill: 'ink', bold: true }, y) + 30;
  if (state.display) y = display(nodes, column, state.display, y) + 50;
  state.words.forEach((text, index) => {
    const first = index === 0;
    y =
      paragraph(nodes, column, { id: `words-${index}`, text, size: first ? 60 : 44, fill: first ? 'ink' : 'soft', bold: first }, y + 8) +
      10;
  });
  board(nodes, column, state, y > column.y ? y + 24 : y);
  if (state.countdown) countdown(nodes, column, state.countdown);
  return nodes;
}

/**
 * The lines of the board; where they would run out of the column, the oldest ones give way. What is said last stands out, but
 * not while something is asked: then the lines are choices, and none of them may look like the answer.
 */
function board(nodes: SceneNode[], column: Column, { board: lines, stem }: StageState, top: number): void {
  const heightOf = (line: string, of: number) =>
    wrapText(line, column.width, of * column.textScale).length * of * column.textScale * LINE_HEIGHT + BOARD_GAP;
  let room = column.bottom - 30 - top;
  const sizes = stem === null ? BOARD_SIZES : CHOICE_SIZES;
  const size = sizes.find((one) => lines.reduce((sum, line) => sum + heightOf(line, one), 0) <= room) ?? sizes.at(-1)!;
  let first = lines.length;
  while (first > 0 && room >= heightOf(lines[first - 1]!, size)) room -= heightOf(lines[--first]!, size);
  let y = top;
  lines.slice(first).forEach((text, index) => {
    const fill = stem !== null || first + index === lines.length - 1 ? 'ink' : 'soft';
    y = paragraph(nodes, column, { id: `board-${first + index}`, text, size, fill, bold: false }, y) + BOARD_GAP;
  });
}

interface Paragraph {
  readonly id: string;
  readonly text: string;
  readonly size: number;
  readonly fill: Ink;
  readonly bold: boolean;
}

/** Adds a wrapped text from `top` down and returns the y below it. */
function paragraph(nodes: SceneNode[], column: Column, { id, text, fill, bold, ...of }: Paragraph, top: number): number {
  const size = of.size * column.textScale;
  const lines = wrapText(text, column.width, size * (bold ? 1.06 : 1));
  lines.forEach((line, index) => {
    const y = top + size * (0.6 + index * LINE_HEIGHT);
    nodes.push({ type: 'text', id: `${id}-${index}`, x: column.x, y, text: line, size, bold, anchor: 'start', fill });
  });
  return top + size * LINE_HEIGHT * lines.length;
}

/** Height of a digital display, in scene units. */
export const DISPLAY_HEIGHT = 190;

function display(nodes: SceneNode[], column: Column, state: DisplayState, top: number): number {
  const [height, half] = [DISPLAY_HEIGHT, 250];
  const middle = column.x + half + 30;
  const boxes = [
    { id: 'hour', x: column.x, text: state.hour, ink: 'hour', first: 0 },
    { id: 'minute', x: middle + 30, text: state.minute, ink: 'minute', first: 2 },
  ] as const;
  const y = top + height / 2;
  for (const { id, x, text, ink, first } of boxes) {
    nodes.push({
      type: 'path',
      id: `display-${id}-box`,
      d: boxPath(x, top, half, height, 20),
      fill: 'face',
      stroke: text === null ? 'soft' : 'ink',
      strokeWidth: 4,
    });
    if (text === null) continue;
    const fill = state.plain ? 'ink' : ink;
    // Digits stand apart, so that each can be covered by itself.
    [...text.padStart(2, ' ')].forEach((digit, index) => {
      const place = x + half / 2 + (text.length === 1 ? 0 : index === 0 ? -41 : 41);
      if (digit === ' ') return;
      if (state.covered.includes(first + index))
        nodes.push({
          type: 'path',
          id: `display-${id}-cover-${index}`,
          d: boxPath(place - 34, top + 34, 68, height - 68, 8),
          fill: 'faint',
        });
      else
        nodes.push({ type: 'text', id: `display-${id}-${index}`, x: place, y, text: digit, size: 140, bold: true, anchor: 'middle', fill });
    });
  }
  nodes.push({
    type: 'text',
    id: 'display-separator',
    x: middle,
    y: y - 6,
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
function countdown(nodes: SceneNode[], column: Column, state: NonNullable<StageState['countdown']>): void {
  const y = column.bottom - 70;
  const part = state.totalMs > 0 ? state.leftMs / state.totalMs : 0;
  const bar = (id: string, width: number, stroke: Ink): SceneNode => ({
    type: 'path',
    id,
    d: `M${column.x} ${y} L${(column.x + width).toFixed(1)} ${y}`,
    fill: 'none',
    stroke,
    strokeWidth: 14,
  });
  nodes.push(bar('countdown-track', 480, 'faint'));
  if (part > 0) nodes.push(bar('countdown-left', 480 * part, 'accent'));
  const text = String(Math.ceil(state.leftMs / 1000));
  nodes.push({
    type: 'text',
    id: 'countdown-seconds',
    x: column.x + column.width,
    y,
    text,
    size: 52,
    bold: true,
    anchor: 'end',
    fill: 'ink',
  });
}
