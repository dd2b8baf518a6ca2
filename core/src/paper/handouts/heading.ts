import { areaOf, type PaperLook } from '../paper-page.js';
import { lineHeight, paragraph, type Drawn } from '../text.js';

/** The title of a handout and what to do, at the top of its page. */
export function heading(title: string, say: string, look: PaperLook): Drawn {
  const { x, y, width } = areaOf(look);
  const [big, small] = look.large ? [26, 16] : [20, 12];
  const first = paragraph(title, x, y, width, { size: big, bold: true }, look.measure);
  const then = say ? paragraph(say, x, y + first.height + 4, width, { size: small }, look.measure) : { nodes: [], height: 0 };
  return { nodes: [...first.nodes, ...then.nodes], height: first.height + then.height + lineHeight(small) };
}
