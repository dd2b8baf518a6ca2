import type { ItemBase } from '../question-kind.js';
import type { Given } from '../seen-as.js';
import type { Choice } from '../shapes/choices.js';

/** A time is shown in one way; the pupil takes the one choice that shows it in another. */
export interface ChooseOneItem extends ItemBase {
  readonly kind: 'choose-one';
  /** The time that is shown, in seconds since midnight. */
  readonly timeSec: number;
  readonly from: Given;
  /** Two to five, in the order they stand; one of them shows the time. */
  readonly choices: readonly Choice[];
}
