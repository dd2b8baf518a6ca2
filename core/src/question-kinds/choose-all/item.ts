import type { ItemBase } from '../question-kind.js';
import type { Given } from '../seen-as.js';
import type { Choice } from '../shapes/choices.js';

/** A time is given in words, on a display or on a dial; the pupil chooses all that show it. */
export interface ChooseAllItem extends ItemBase {
  readonly kind: 'choose-all';
  /** The time asked for, in seconds since midnight. */
  readonly timeSec: number;
  readonly from: Given;
  /** Two to eight, in the order they stand. */
  readonly choices: readonly Choice[];
}
