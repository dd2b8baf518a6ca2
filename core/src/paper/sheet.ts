import type { LessonSettings } from '../lesson/settings.js';
import { tongueOf } from '../talk/registry.js';
import { flow, type FlowWish } from './flow.js';
import type { Area, PaperLook, PaperPage } from './paper-page.js';
import { questionBlock } from './question-block.js';
import { ruled } from './strokes.js';
import { paragraph, word, type Drawn } from './text.js';
import { paperTextsOf } from './texts.js';
import type { SheetVersion } from './versions.js';

/** What a sheet says of itself. */
export interface SheetHead {
  readonly title: string;
  /** By which its answers are typed in later; empty where it is not kept. */
  readonly code: string;
  /** The pupil it is for; null for a line to write a name on. */
  readonly pupil: string | null;
}

/** One version of a sheet for one pupil: its questions with room for the answers. */
export function sheetPages(
  { letter, items }: SheetVersion,
  of: SheetHead,
  versions: number,
  settings: LessonSettings,
  look: PaperLook,
): PaperPage[] {
  const mark = [of.code, versions > 1 ? letter : ''].filter(Boolean).join(' ');
  const blocks = items.map((item, index) => questionBlock(item, index + 1, settings, look));
  const wish: FlowWish = {
    title: [of.title, versions > 1 ? letter : '', of.pupil ?? ''].filter(Boolean).join(', '),
    columns: look.large ? 1 : 2,
    head: (area, page) => headOf(area, page, of, mark, settings, look),
    foot: [of.title, mark].filter(Boolean).join(' · '),
  };
  return flow(blocks, wish, look);
}

function headOf(
  { x, y, width }: Area,
  page: number,
  { title, pupil }: SheetHead,
  mark: string,
  settings: LessonSettings,
  look: PaperLook,
): Drawn {
  const texts = paperTextsOf(tongueOf(settings));
  const size = look.large ? 16 : 12;
  const nameY = y + size;
  const label = `${texts.name}: `;
  const from = x + look.measure(label, size, false) + 4;
  const markWidth = mark ? look.measure(mark, size, true) + 16 : 0;
  const name = pupil
    ? [word(`${label}${pupil}`, x, nameY, { size })]
    : [word(label, x, nameY, { size }), ruled(from, nameY + size * 0.6, Math.min(300, width - (from - x) - markWidth))];
  const marked = mark ? [word(mark, x + width, nameY, { size, bold: true, anchor: 'end' })] : [];
  if (page > 0) return { nodes: [...name, ...marked], height: size * 3.2 };
  const head = paragraph(title, x, y + size * 2.6, width, { size: look.large ? 26 : 20, bold: true }, look.measure);
  return { nodes: [...name, ...marked, ...head.nodes], height: size * 2.6 + head.height + 14 };
}
