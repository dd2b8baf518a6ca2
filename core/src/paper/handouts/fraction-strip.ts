import type { SceneNode } from '../../scene/scene-node.js';
import type { Tongue } from '../../words/pack.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { cutBox } from '../strokes.js';
import { linesOf, lineHeight, word } from '../text.js';
import { paperTextsOf } from '../texts.js';
import { heading } from './heading.js';

const CUTS = [1, 2, 4, 12] as const;

/** An hour as strips of the same length: whole, in halves, in quarters, in fives. */
export function fractionStripPages(tongue: Tongue, look: PaperLook): PaperPage[] {
  const { title, say, parts } = paperTextsOf(tongue).strip;
  const area = areaOf(look);
  const head = heading(title, say, look);
  const size = look.large ? 15 : 12;
  const height = Math.min(120, (area.height - head.height - 3 * 24) / 4);
  const nodes: SceneNode[] = [...head.nodes];
  CUTS.forEach((cuts, row) => {
    const y = area.y + head.height + row * (height + 24);
    const width = area.width / cuts;
    for (let part = 0; part < cuts; part++) {
      const x = area.x + part * width;
      nodes.push(...cutBox(x, y, width, height));
      const lines = linesOf(parts[row]!, width - 8, { size }, look.measure);
      lines.forEach((text, at) =>
        nodes.push(
          word(text, x + width / 2, y + height / 2 + lineHeight(size) * (at - (lines.length - 1) / 2), { size, anchor: 'middle' }),
        ),
      );
    }
  });
  return [pageOf(look, title, nodes)];
}
