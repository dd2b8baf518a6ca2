import type { RungId } from '../../ladder/registry.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { referenceChart } from '../../stage/reference-chart.js';
import type { SceneNode } from '../../scene/scene-node.js';
import { dialOnPaper, SHOWN_LAYERS } from '../dial-on-paper.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { paragraph, word } from '../text.js';
import { heading } from './heading.js';

/** The reference chart of a rung in a lesson's school: dial, display and words of its times, and the sentences to go by. */
export function chartPages(rung: RungId, settings: LessonSettings, look: PaperLook): PaperPage[] {
  const { title, entries, lines } = referenceChart(rung, settings);
  const area = areaOf(look);
  const head = heading(title, '', look);
  const nodes: SceneNode[] = [...head.nodes];
  const size = look.large ? 18 : 14;
  const said = lines.map((text) => paragraph(text, area.x, 0, area.width, { size }, look.measure));
  const saidHeight = said.reduce((sum, { height }) => sum + height + 3, 0);
  const columns = entries.length <= 2 ? 1 : entries.length <= 8 ? 2 : 3;
  const rows = Math.ceil(entries.length / columns);
  const top = area.y + head.height;
  const cell = { width: area.width / columns, height: Math.min(310, (area.height - head.height - saidHeight - 12) / rows) };
  entries.forEach(({ pose, display, words }, index) => {
    const x = area.x + (index % columns) * cell.width;
    const y = top + Math.floor(index / columns) * cell.height;
    const side = Math.min(cell.height - size * 3.6, cell.width - 24);
    const middle = x + cell.width / 2;
    nodes.push(dialOnPaper(pose, { ...SHOWN_LAYERS, minuteRing: 'full' }, middle - side / 2, y, side));
    nodes.push(word(display, middle, y + side + size * 0.9, { size: size * 1.3, bold: true, anchor: 'middle' }));
    nodes.push(...paragraph(words, x + 4, y + side + size * 1.6, cell.width - 8, { size, anchor: 'middle' }, look.measure).nodes);
  });
  let y = top + rows * cell.height + 12;
  for (const text of lines) {
    const drawn = paragraph(text, area.x, y, area.width, { size }, look.measure);
    nodes.push(...drawn.nodes);
    y += drawn.height + 3;
  }
  return [pageOf(look, title, nodes)];
}
