import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { kindOf, type Item, type Response } from '../question-kinds/registry.js';
import type { Rng } from './rng.js';

/** How a simulated pupil answers. */
export interface PupilProfile {
  /** Wrong ideas held, the strongest first; answers follow the first that makes a difference to the item. */
  readonly misconceptions: readonly MisconceptionId[];
  /** Chance of a careless slip on an answer that would be right, 0 to 1. */
  readonly carelessness: number;
  /** Median response time in milliseconds. */
  readonly paceMs: number;
}

/** One answer as such a pupil would give it, and how long it takes. The same random numbers give the same answer. */
export function simulateResponse(
  profile: PupilProfile,
  item: Item,
  settings: LessonSettings,
  rng: Rng,
): { readonly response: Response; readonly responseTimeMs: number } {
  const responseTimeMs = Math.round(profile.paceMs * (0.6 + 0.9 * rng()));
  const kind = kindOf(item);
  for (const misconception of profile.misconceptions) {
    const predicted = predictionsOf(item, settings).get(misconception);
    if (predicted) return { response: predicted[Math.floor(rng() * predicted.length)]!, responseTimeMs };
  }
  const response = rng() >= profile.carelessness ? kind.keyOf(item, settings) : kind.slip(item, rng, settings);
  return { response, responseTimeMs };
}
