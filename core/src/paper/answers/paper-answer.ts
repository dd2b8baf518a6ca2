import type { LessonSettings } from '../../lesson/settings.js';
import type { ItemView } from '../../question-kinds/registry.js';
import type { ShapeId } from '../../question-kinds/shapes/shape.js';
import type { PaperLook } from '../paper-page.js';
import type { Drawn } from '../text.js';
import type { PaperTexts } from '../texts.js';

/** The views of all kinds that are answered in one way. */
export type ViewOfShape<Shape extends ShapeId> = Extract<ItemView, { readonly shape: Shape }>;

/** Where an answer is given on a sheet, and in which language and look. */
export interface AnswerPlace {
  readonly x: number;
  readonly top: number;
  readonly width: number;
  /** Font size of what pupils read, in points. */
  readonly size: number;
  readonly texts: PaperTexts;
  readonly settings: LessonSettings;
  readonly look: PaperLook;
}

/** How one way of answering is done with a pencil. */
export interface PaperAnswer<Shape extends ShapeId> {
  /** Whether the question needs the whole width of the page. */
  isWide(view: ViewOfShape<Shape>): boolean;
  /** Room for the answer, under the question. */
  draw(view: ViewOfShape<Shape>, place: AnswerPlace): Drawn;
  /** For the teacher: what is different from the same question on a device; null where nothing is. */
  readonly differs: string | null;
}
