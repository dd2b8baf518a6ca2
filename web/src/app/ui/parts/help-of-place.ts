import type { Shortcut } from '../../shared/shortcuts';

/** What a place is for in one sentence, and the keys that act in it. */
export interface HelpOfPlace {
  readonly place: string;
  readonly sentence: string;
  /** What keys do that are not struck anywhere in the place, with the keys as they are called. */
  readonly keys?: readonly (readonly [key: string, does: string])[];
  /** Keys of the whole place, for either hand. */
  readonly shortcuts?: readonly Shortcut[];
}
