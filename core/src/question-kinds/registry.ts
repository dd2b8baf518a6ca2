import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import type { StageState } from '../scene/stage-state.js';
import type { Mark } from './question-kind.js';
import type { ReadDialItem, ReadDialResponse, ReadDialView } from './read-dial/read-dial.js';
import { readDial } from './read-dial/read-dial.js';
import type { SetDialItem, SetDialResponse, SetDialView } from './set-dial/set-dial.js';
import { setDial } from './set-dial/set-dial.js';

/** Every question kind by its id. Ids stand in saved lessons and responses: add, never rename or reuse. */
export const QUESTION_KINDS = { 'read-dial': readDial, 'set-dial': setDial } as const;

export type QuestionKindId = keyof typeof QUESTION_KINDS;
export type Item = ReadDialItem | SetDialItem;
export type Response = ReadDialResponse | SetDialResponse;
export type ItemView = ReadDialView | SetDialView;

/**
 * One kind as a record of functions over the unions. The compiler cannot follow that an item finds its own kind by its
 * `kind`, so the promise is made here, once.
 */
interface AnyKind {
  readonly name: string;
  keyOf(item: Item): Response;
  viewOf(item: Item, settings: LessonSettings): ItemView;
  mark(item: Item, response: Response, settings: LessonSettings): Mark;
  predict(item: Item, misconception: MisconceptionId, settings: LessonSettings): readonly Response[];
  responseText(response: Response): string;
  asked(before: StageState, item: Item, settings: LessonSettings): StageState;
  answered(before: StageState, item: Item, settings: LessonSettings): StageState;
}

/** The kind of an item or of a response. */
export function kindOf(of: { readonly kind: QuestionKindId }): AnyKind {
  return QUESTION_KINDS[of.kind] as unknown as AnyKind;
}
