import type { Step } from '../lesson/prepare.js';
import type { Take } from './take.js';

/** A step in a film. */
export interface Shot {
  readonly step: Step;
  /** Since the beginning of the film, in milliseconds. */
  readonly startMs: number;
  readonly durationMs: number;
  /** What is heard, from the beginning of the shot; null where nothing was recorded that fits. */
  readonly take: Take | null;
}
