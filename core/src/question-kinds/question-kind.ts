import type { ActId, Acts } from '../acts/acts.js';
import type { RungTimes } from '../ladder/rung-times.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import type { Rng } from '../random/rng.js';
import type { StageState } from '../scene/stage-state.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import type { Picture } from './picture.js';
import type { ShapeId } from './shapes/shape.js';

/**
 * What marking says of a response: right; right in time but not in today's form; some parts right; not yet; or blank.
 * For the teacher it is a hint with its evidence, never a grade.
 */
export type Verdict = 'right' | 'right-other-form' | 'partly' | 'not-yet' | 'blank';

/** A part of a response that can be right by itself. */
export type PartId = 'hour' | 'minute' | 'form' | 'choices' | 'numbers' | 'words' | 'pairs' | 'order' | 'place';

/** A marked response. */
export interface Mark {
  readonly verdict: Verdict;
  readonly parts: readonly { readonly part: PartId; readonly right: boolean }[];
  /** Every misconception that this response is consistent with; empty for right responses and for slips. */
  readonly misconceptions: readonly MisconceptionId[];
  /** One kind sentence for the pupil that says what to look at. */
  readonly sayToPupil: string;
}

/** What every stored question has, whatever it is about. */
export interface ItemBase {
  /** Unique within its lesson; must not give the key away, since pupils' devices see it. */
  readonly id: string;
}

/** Whatever says of which kind it is. */
export interface Kinded<Kind extends string> {
  readonly kind: Kind;
}

/** What every response has: the kind it answers. */
export interface ResponseBase {
  readonly kind: string;
}

/** What a pupil's device may know of a question before the reveal, of any kind: the picture and the stem, never the key. */
export interface ViewBase {
  readonly kind: string;
  readonly itemId: string;
  readonly stem: string;
  readonly picture: Picture;
}

/** What can be said of a response before any misconception is thought of. */
export type Judgement = Pick<Mark, 'verdict' | 'parts'>;

/**
 * A family of questions: one folder, one line in the registry. `predict` calls the acts that the task takes, so that no
 * kind knows of any misconception, and none of them of a kind. Marking puts `judge`, `predict` and `isSame` together; see
 * {@link markOf}.
 */
export interface QuestionKind<Item extends ItemBase, Response extends ResponseBase, View extends ViewBase> {
  /** For lists: "Read a dial". */
  readonly name: string;
  /** Think time on the first rung, in seconds: to look, and to type, turn or compare. */
  readonly thinkSec: number;
  /** How it is answered: kinds of one shape share the desk's view and the check of what comes in. */
  readonly shape: ShapeId;
  /** The times that an item is about, if it is about any: for the ladder and the checker. */
  timesOf(item: Item): readonly SecondOfDay[];
  keyOf(item: Item, settings: LessonSettings): Response;
  viewOf(item: Item, settings: LessonSettings): View;
  /** How right a response is, part by part. */
  judge(item: Item, response: Response, settings: LessonSettings): Judgement;
  /** What a pupil answers who does the acts of this task so; the key may be among them. */
  predict(item: Item, acts: Acts, settings: LessonSettings): readonly Response[];
  /** Whether a response is what was predicted, as far as a thumb on a screen can tell. */
  isSame(item: Item, predicted: Response, given: Response, settings: LessonSettings): boolean;
  /** Whether a response of the right shape can be given to this very item: hands that move together agree. */
  isPossible(item: Item, response: Response, settings: LessonSettings): boolean;
  /** Which acts the pupil is about, the first one first, so that what is said of a misconception fits. */
  doing(item: Item): readonly ActId[];
  /**
   * One kind sentence that says what to look at, where no misconception explains the response: true of that very response,
   * and with praise only for what was given.
   */
  hint(item: Item, judgement: Judgement, settings: LessonSettings, response: Response): string;
  /** One sentence that says what to look at, whatever was answered: for whoever is not sure. */
  lookAt(item: Item, settings: LessonSettings): string;
  /** Why the key is right, in the sentences of the lesson's school: for the board. */
  reason(item: Item, settings: LessonSettings): readonly string[];
  /** The key as one sentence: "It is 7:30." */
  keySentence(item: Item, settings: LessonSettings): string;
  /** The response in a few characters or words: for walls, tables and screen readers. */
  responseText(item: Item, response: Response, settings: LessonSettings): string;
  /** What the stage shows while the question is asked. */
  asked(item: Item, settings: LessonSettings): StageState;
  /** What the stage shows with the key and its reason. */
  answered(item: Item, settings: LessonSettings): StageState;
  /** What changes where it is answered with a pencil; kinds that stay as they are leave it out. */
  readonly onPaper?: {
    /** The item as it is asked on paper. */
    item?(item: Item): Item;
    /** What is asked, where the stem speaks of a screen. */
    stem?(item: Item, settings: LessonSettings): string;
  };
  /** The item taking some further wordings of its time; only kinds that take words have it. */
  accepting?(item: Item, wordings: readonly string[]): Item;
  /** What was written that is taken for no time at all, line by line. */
  unheard?(item: Item, response: Response, settings: LessonSettings): readonly string[];
  /** A careless answer as children give it, never a right one. */
  slip(item: Item, rng: Rng, settings: LessonSettings): Response;
  /** A new item on a rung. The same random numbers give the same item. */
  make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): Item;
  /** Items that the shared tests run over, the awkward ones among them. */
  readonly samples: readonly Item[];
}
