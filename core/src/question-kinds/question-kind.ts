import type { MisconceptionId } from '../misconceptions/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { StageState } from '../scene/stage-state.js';

/**
 * What marking says of a response: right; right in time but not in today's form; some parts right; not yet; or blank.
 * For the teacher it is a hint with its evidence, never a grade.
 */
export type Verdict = 'right' | 'right-other-form' | 'partly' | 'not-yet' | 'blank';

/** A marked response. */
export interface Mark {
  readonly verdict: Verdict;
  readonly parts: { readonly hour: boolean; readonly minute: boolean; readonly form: boolean };
  /** Every misconception that this response is consistent with; empty for right responses and for slips. */
  readonly misconceptions: readonly MisconceptionId[];
  /** One kind sentence for the pupil that says what to look at. */
  readonly sayToPupil: string;
}

/** One stored question. `timeSec` is the time it is about, in seconds since midnight. */
export interface ItemBase {
  /** Unique within its lesson; must not give the key away, since pupils' devices see it. */
  readonly id: string;
  readonly timeSec: number;
}

/**
 * A family of questions. `View` is all that a pupil's device may know before the reveal: the picture and the stem, never
 * the key.
 */
export interface QuestionKind<Item extends ItemBase, Response, View> {
  /** For lists: "Read a dial". */
  readonly name: string;
  keyOf(item: Item): Response;
  viewOf(item: Item, settings: LessonSettings): View;
  mark(item: Item, response: Response, settings: LessonSettings): Mark;
  /** What a pupil with this misconception would answer; none where the idea makes no difference here. */
  predict(item: Item, misconception: MisconceptionId, settings: LessonSettings): readonly Response[];
  /** The response in a few characters or words: for walls, tables and screen readers. */
  responseText(response: Response): string;
  /** What the stage shows while the question is asked. */
  asked(before: StageState, item: Item, settings: LessonSettings): StageState;
  /** What the stage shows with the key and its reason. */
  answered(before: StageState, item: Item, settings: LessonSettings): StageState;
}
