import type { Item } from '../question-kinds/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { DialLayers } from '../scene/dial-state.js';
import type { StageState } from '../scene/stage-state.js';

/** What a beat may look up besides itself. `itemOf` throws LESSON_ITEM_UNKNOWN for an id the lesson does not hold. */
export interface BeatContext {
  readonly settings: LessonSettings;
  /** What a demonstration begins with at this point of the lesson: help that was taken away for good is away. */
  readonly layers: DialLayers;
  itemOf(id: string): Item;
}

/** What a beat is for in a lesson: words that lead to something, a demonstration, an example, a question, a slip, work on paper. */
export type BeatDoes = 'say' | 'show' | 'example' | 'ask' | 'slip' | 'paper';

/**
 * A kind of beat as a record of pure functions. The stage after a beat is `at` its duration; a beat never looks at the
 * clock itself.
 */
export interface BeatKind<Beat> {
  /** For lists: "Sweep". */
  readonly name: string;
  readonly does: BeatDoes;
  /** What it shows in a few words, for lists: "2:45"; absent or empty where its name says all. */
  about?(beat: Beat, settings: LessonSettings): string;
  /** What of the stage before it stays while it plays; everything else is cleared. */
  readonly keeps: readonly (keyof StageState)[];
  /** Planned length in milliseconds, 0 or more. */
  durationMs(beat: Beat, context: BeatContext): number;
  /** What the teacher says, as notes to read out; may be empty. */
  narration(beat: Beat, context: BeatContext): string;
  /**
   * The stage at a moment of the beat. `elapsedMs` may exceed the duration: then the beat has settled.
   * @param before the parts that the beat keeps, on an otherwise clear stage
   */
  at(before: StageState, beat: Beat, elapsedMs: number, context: BeatContext): StageState;
  /** How long the stage moves by itself, in milliseconds: an outlet draws frames only that long. 0 for still beats. */
  motionMs(beat: Beat, context: BeatContext): number;
}
