import { HOME_PARTS, homeHeadings, type HomePage } from '../../insight/home-page.js';
import type { Tongue } from '../../words/pack.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { paragraph } from '../text.js';
import { heading } from './heading.js';

/** One page for each home, all in one file. */
export function homePagesOnPaper(
  pages: readonly { readonly name: string; readonly page: HomePage }[],
  tongue: Tongue,
  look: PaperLook,
): PaperPage[] {
  const texts = homeHeadings(tongue);
  const { x, y, width } = areaOf(look);
  const [small, size] = look.large ? [16, 20] : [11, 14];
  return pages.map(({ name, page }) => {
    const head = heading(`${texts.title}: ${name}`, '', look);
    const nodes = [...head.nodes];
    let top = y + head.height;
    for (const part of HOME_PARTS) {
      const titled = paragraph(texts[part], x, top, width, { size: small, bold: true, fill: 'soft' }, look.measure);
      const told = paragraph(page[part], x, top + titled.height + 2, width, { size }, look.measure);
      nodes.push(...titled.nodes, ...told.nodes);
      top += titled.height + told.height + size * 1.6;
    }
    return pageOf(look, name, nodes);
  });
}
