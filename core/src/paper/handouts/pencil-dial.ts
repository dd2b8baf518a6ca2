import { gearedPose } from '../../dial/pose.js';
import type { DialLayers } from '../../scene/dial-state.js';
import type { SceneNode } from '../../scene/scene-node.js';
import { secondOfDay } from '../../time/second-of-day.js';
import type { Tongue } from '../../words/pack.js';
import { dialOnPaper, SHOWN_LAYERS } from '../dial-on-paper.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { plate } from '../strokes.js';
import { paragraph } from '../text.js';
import { paperTextsOf } from '../texts.js';
import { heading } from './heading.js';

/** What is there after each step. */
const DRAWN: readonly (Pick<DialLayers, 'numerals' | 'hourHand' | 'minuteHand'> & { readonly dot: boolean })[] = [
  { numerals: 'none', hourHand: false, minuteHand: false, dot: false },
  { numerals: 'none', hourHand: false, minuteHand: false, dot: true },
  { numerals: 'quarters', hourHand: false, minuteHand: false, dot: true },
  { numerals: 'all', hourHand: false, minuteHand: false, dot: true },
  { numerals: 'all', hourHand: true, minuteHand: false, dot: false },
  { numerals: 'all', hourHand: true, minuteHand: true, dot: false },
];

/** For homes that have nothing but a pencil: six steps to a dial of one's own. */
export function pencilDialPages(tongue: Tongue, look: PaperLook): PaperPage[] {
  const { title, say, steps } = paperTextsOf(tongue).pencil;
  const area = areaOf(look);
  const head = heading(title, say, look);
  const size = look.large ? 16 : 12.5;
  const cell = { width: (area.width - 30) / 2, height: (area.height - head.height) / 3 };
  const nodes: SceneNode[] = [...head.nodes];
  steps.forEach((text, index) => {
    const x = area.x + (index % 2) * (cell.width + 30);
    const y = area.y + head.height + Math.floor(index / 2) * cell.height;
    nodes.push(...plate(String(index + 1), x + size * 0.8, y + size * 0.8, size));
    const told = paragraph(text, x + size * 2.2, y, cell.width - size * 2.2, { size }, look.measure);
    nodes.push(...told.nodes);
    const { dot, ...shown } = DRAWN[index]!;
    const side = Math.min(cell.width, cell.height - told.height - size * 1.8);
    const [left, top] = [x + (cell.width - side) / 2, y + told.height + size * 0.5];
    nodes.push(dialOnPaper(gearedPose(secondOfDay(7, 30)), { ...SHOWN_LAYERS, ticks: false, ...shown }, left, top, side));
    if (dot) nodes.push({ type: 'circle', id: '', cx: left + side / 2, cy: top + side / 2, r: 2.6, fill: 'ink' });
  });
  return [pageOf(look, title, nodes)];
}
