import { RUNGS, rungOf } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { NOT_SURE } from '../question-kinds/not-sure.js';
import { isRightVerdict } from '../question-kinds/verdict.js';
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
  /** Chance to know an answer where no idea is in the way, 0 to 1; whoever does not know guesses, or says so. Always, when absent. */
  readonly skill?: number;
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
  if (profile.skill !== undefined && rng() >= profile.skill) return { response: guess(item, settings, rng), responseTimeMs };
  const response = rng() >= profile.carelessness ? kind.keyOf(item, settings) : kind.slip(item, rng, settings);
  return { response, responseTimeMs };
}

/** Of those who do not know, so many say so. */
const SAYS_SO = 0.25;

/** What somebody gives who does not know: that they are not sure, the answer to a question like it, or a slip. */
function guess(item: Item, settings: LessonSettings, rng: Rng): Response {
  if (rng() < SAYS_SO) return NOT_SURE;
  const kind = kindOf(item);
  const other = kind.make('guess', rng, rungOf(kind.timesOf(item)), settings);
  const taken = kind.keyOf(other, settings);
  const isWrong = kind.isPossible(item, taken, settings) && !isRightVerdict(kind.judge(item, taken, settings).verdict);
  return isWrong ? taken : kind.slip(item, rng, settings);
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
