import type { SceneNode } from '../../scene/scene-node.js';
import type { DayEvent } from '../../series/day-events.js';
import type { Tongue } from '../../words/pack.js';
import { partOfDay } from '../../words/parts-of-day.js';
import { secondOfDay } from '../../time/second-of-day.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { cutBox, line } from '../strokes.js';
import { paragraph, word } from '../text.js';
import { paperTextsOf } from '../texts.js';
import { heading } from './heading.js';

const STRIPS = 4;
const HOURS = 24 / STRIPS;
const TAB = 40;

/**
 * The day in four strips that are glued together: every hour as the dial names it, with room above to draw, and the class's
 * own times where there are some.
 */
export function dayLinePages(events: readonly DayEvent[], tongue: Tongue, look: PaperLook): PaperPage[] {
  const { title, say, glue } = paperTextsOf(tongue).day;
  const area = areaOf(look);
  const head = heading(title, say, look);
  const size = look.large ? 14 : 11;
  const height = Math.min(150, (area.height - head.height - 3 * 14) / STRIPS);
  const hour = (area.width - TAB) / HOURS;
  const nodes: SceneNode[] = [...head.nodes];
  for (let strip = 0; strip < STRIPS; strip++) {
    const [x, y] = [area.x, area.y + head.height + strip * (height + 14)];
    const isLast = strip === STRIPS - 1;
    const base = y + height - size * 3.6;
    nodes.push(...cutBox(x, y, HOURS * hour + TAB, height), line(x, base, x + HOURS * hour + (isLast ? 0 : TAB), base, 2));
    for (let half = 0; half <= 2 * HOURS; half++) {
      const at = x + (half * hour) / 2;
      if (half < 2 * HOURS || isLast)
        nodes.push(line(at, base - (half % 2 === 0 ? 9 : 5), at, base + (half % 2 === 0 ? 9 : 0), half % 2 === 0 ? 1.6 : 0.8));
      if (half % 2 === 1 || (half === 2 * HOURS && !isLast)) continue;
      const of24 = strip * HOURS + half / 2;
      const anchor = half === 0 ? 'start' : 'middle';
      const named = of24 % 12 === 0 ? partOfDay(secondOfDay(of24 % 24, 0), tongue).name : '';
      nodes.push(word(String(of24 % 12 || 12), at + (half === 0 ? 3 : 0), base + size * 1.5, { size: size * 1.2, bold: true, anchor }));
      if (named)
        nodes.push(word(named, at + (half === 0 ? 3 : 0), base + size * 2.6, { size: size * 0.85, anchor: half === 0 ? 'start' : 'end' }));
    }
    const own = events.filter(({ atSec }) => Math.floor(atSec / 3600 / HOURS) === strip);
    own.forEach(({ atSec, text }, index) => {
      const at = x + (atSec / 3600 - strip * HOURS) * hour;
      const top = y + size * (0.6 + 1.5 * (index % 2));
      nodes.push(line(at, top + size * 1.2, at, base - 9, 0.8, 'soft'));
      nodes.push(...paragraph(text, at + 3, top, hour * 1.3, { size: size * 0.85 }, look.measure).nodes);
    });
    if (!isLast)
      nodes.push({
        type: 'group',
        id: '',
        x: x + HOURS * hour + TAB / 2,
        y: y + height / 2 - size,
        scale: 1,
        turnDeg: -90,
        nodes: [{ ...word(glue, 0, 0, { size: size * 0.9, fill: 'soft', anchor: 'middle' }), id: 'glue' }],
      });
  }
  return [pageOf(look, title, nodes)];
}
