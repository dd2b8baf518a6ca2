import type { DesignedSet, SetWish } from '@zeitpunkt/core/diagnosis/design-set';
import type { RungId } from '@zeitpunkt/core/ladder/registry';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { ToldProblem } from '../told-problem';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';

/** What the worker is asked for. */
export interface DesignWish {
  readonly wish: SetWish;
  readonly rung: RungId;
  readonly settings: LessonSettings;
  /** Questions of the lesson are not asked once more. */
  readonly asked: readonly Item[];
  /** Another pool for each seed. */
  readonly seed: number;
  readonly poolSize: number;
}

/** What it tells: how far it is, 0 to 1, and in the end the set. */
export type DesignNews =
  | { readonly type: 'progress'; readonly part: number }
  | { readonly type: 'done'; readonly set: DesignedSet }
  | { readonly type: 'failed'; readonly problem: ToldProblem };
