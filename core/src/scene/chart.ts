import { DIAL_EXTENT } from './dial-face.js';
import { dialGroup } from './dial-scene.js';
import { dialOf, PLAIN_LAYERS, type DialLayers } from './dial-state.js';
import type { Ink, SceneNode } from './scene-node.js';
import type { ChartState } from './stage-state.js';
import { wrapText } from './wrap-text.js';
import type { Tongue } from '../words/pack.js';

/** Hands in their own colours, so that the chart can be looked at with the words. */
const CHART_LAYERS: DialLayers = { ...PLAIN_LAYERS, handInk: 'own' };
const MARGIN = 50;
const TITLE_SIZE = 54;
const LINE_SIZE = 38;
const WORDS_SIZE = 40;
const DISPLAY_SIZE = 64;

/** The reference chart: title, a grid of dials with display and words, and the sentences under it. */
export function chartNodes(chart: ChartState, width: number, height: number): SceneNode[] {
  const text = (id: string, x: number, y: number, words: string, size: number, bold: boolean, fill: Ink = 'ink'): SceneNode => ({
    type: 'text',
    id,
    x,
    y,
    text: words,
    size,
    bold,
    anchor: 'start',
    fill,
  });
  const lines = chart.lines.flatMap((line) => wrapText(line, width - 2 * MARGIN, LINE_SIZE));
  const top = MARGIN + TITLE_SIZE;
  const bottom = height - MARGIN / 2 - lines.length * LINE_SIZE * 1.25;
  const nodes = [text('chart-title', MARGIN, MARGIN + TITLE_SIZE * 0.3, chart.title, TITLE_SIZE, true)];
  const { columns, cellWidth, cellHeight } = gridOf(chart.entries.length, width - MARGIN, bottom - top);
  chart.entries.forEach(({ pose, display, words }, index) => {
    const x = MARGIN / 2 + (index % columns) * cellWidth;
    const y = top + Math.floor(index / columns) * cellHeight;
    const side = Math.min(cellHeight * 0.94, cellWidth * 0.5);
    nodes.push(dialGroup(dialOf(pose, CHART_LAYERS), x + side / 2, y + cellHeight / 2, side / 2 / (DIAL_EXTENT + 2), `chart-${index}`));
    const column = x + side + 14;
    const wrapped = wrapText(words, cellWidth - side - 20, WORDS_SIZE);
    const textTop = y + cellHeight / 2 - (wrapped.length * WORDS_SIZE * 1.15) / 2;
    nodes.push(text(`chart-display-${index}`, column, textTop - 4, display, DISPLAY_SIZE, true));
    wrapped.forEach((line, row) =>
      nodes.push(text(`chart-words-${index}-${row}`, column, textTop + 52 + row * WORDS_SIZE * 1.15, line, WORDS_SIZE, false)),
    );
  });
  lines.forEach((line, row) =>
    nodes.push(text(`chart-line-${row}`, MARGIN, bottom + LINE_SIZE * (0.6 + row * 1.25), line, LINE_SIZE, false, 'soft')),
  );
  return nodes;
}

/** Columns that make the cells as large as can be, about two parts wide to one high: a dial and its words. */
function gridOf(count: number, width: number, height: number) {
  const cells = Array.from({ length: count }, (_, index) => {
    const columns = index + 1;
    const [cellWidth, cellHeight] = [width / columns, height / Math.ceil(count / columns)];
    return { columns, cellWidth, cellHeight, size: Math.min(cellWidth / 2, cellHeight) };
  });
  return cells.reduce((best, one) => (one.size > best.size ? one : best));
}

/** The chart in words, for those who hear it. */
export function describeChart({ title, entries, lines }: ChartState, tongue: Tongue = 'en'): string {
  return [
    `${tongue === 'de' ? 'Eine Tafel' : 'A chart'}: ${title}.`,
    ...entries.map(({ display, words }) => `${display}, ${words}.`),
    ...lines,
  ].join(' ');
}
