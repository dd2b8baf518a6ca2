import { RUNGS, rungOf } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { kindOf, type Item, type Response } from '../question-kinds/registry.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import type { Rng } from './rng.js';

/** How a simulated pupil answers. */
export interface PupilProfile {
  /** Wrong ideas held, the strongest first; answers follow the first that makes a difference to the item and comes to mind. */
  readonly misconceptions: readonly MisconceptionId[];
  /** Chance that an idea comes to mind where it makes a difference, 0 to 1; children who hold one: 0.75 to 0.95. */
  readonly firmness: number;
  /** Chance of a careless slip on an answer that would be right, 0 to 1. */
  readonly carelessness: number;
  /** Median response time in milliseconds where whole hours and half past are asked; it grows by a fifth a rung from there. */
  readonly paceMs: number;
}

/** One answer as such a pupil would give it, and how long it takes. The same random numbers give the same answer. */
export function simulateResponse(
  profile: PupilProfile,
  item: Item,
  settings: LessonSettings,
  rng: Rng,
): { readonly response: Response; readonly responseTimeMs: number } {
  const kind = kindOf(item);
  const responseTimeMs = Math.round(profile.paceMs * slownessAt(kind.timesOf(item)) * longTailed(rng));
  for (const misconception of profile.misconceptions) {
    const predicted = predictionsOf(item, settings).get(misconception);
    if (predicted && rng() < profile.firmness) return { response: predicted[Math.floor(rng() * predicted.length)]!, responseTimeMs };
  }
  const response = rng() >= profile.carelessness ? kind.keyOf(item, settings) : kind.slip(item, rng, settings);
  return { response, responseTimeMs };
}

/** How much longer the times of an item take than whole hours and half past do. */
function slownessAt(times: readonly SecondOfDay[]): number {
  const place = Object.values<Rung>(RUNGS).indexOf(rungOf(times));
  return 1 + 0.2 * Math.max(0, place - 1);
}

/** Spread of the logarithm of response times: one in twenty takes more than twice the median. */
const SPREAD = 0.45;

/**
 * A factor with the median 1 and a long tail: response times are close to lognormal.
 * Source: the method of Box and Muller for a normal number from two even ones.
 */
function longTailed(rng: Rng): number {
  const normal = Math.sqrt(-2 * Math.log(1 - rng())) * Math.cos(2 * Math.PI * rng());
  return Math.exp(SPREAD * normal);
}
