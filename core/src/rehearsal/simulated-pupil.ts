import { RUNGS, rungOf } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import type { LessonSettings } from '../lesson/settings.js';
import { actsOf, readingActsOf, readsAndSets } from '../misconceptions/distorted-acts.js';
import { misconceptionOf, type MisconceptionId } from '../misconceptions/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { NOT_SURE } from '../question-kinds/not-sure.js';
import { isRightVerdict } from '../question-kinds/verdict.js';
import { kindOf, type Item, type KindResponse, type Response } from '../question-kinds/registry.js';
import { minuteOfHour, type SecondOfDay } from '../time/second-of-day.js';
import type { Rng } from '../random/rng.js';

/** How a simulated pupil answers. */
export interface PupilProfile {
  /** Wrong ideas held, the strongest first; answers follow the first that makes a difference to the item and comes to mind. */
  readonly misconceptions: readonly MisconceptionId[];
  /** Chance that an idea comes to mind where it makes a difference, 0 to 1; children who hold one: 0.6 to 0.95. */
  readonly firmness: number;
  /** Chance of a careless slip on an answer that would be right, 0 to 1. */
  readonly carelessness: number;
  /** Chance to know an answer where no idea is in the way, 0 to 1; whoever does not know guesses, or says so. Always, when absent. */
  readonly skill?: number;
  /** Median response time in milliseconds where whole hours and half past are asked; it grows by a fifth a rung from there. */
  readonly paceMs: number;
  readonly habits?: PupilHabits;
}

/** In what children differ who hold the same idea. */
export interface PupilHabits {
  /** Times that an idea does not get at, since they are known by heart: full hours, or half past, too. */
  readonly byHeart?: 'hours' | 'halves';
  /** Dials are read by the idea and set right all the same. */
  readonly onlyReads?: true;
  /** How much firmer or less firm an idea is from one kind of question to another, 0 to 0.3. */
  readonly uneven?: number;
  /** Of the answers that go wrong without an idea of their own, the share that is some usual mistake, each time another one. */
  readonly usualMistakes?: number;
}

/** Of the times when two ideas come to mind, the share in which an answer shows both. */
const BOTH_AT_ONCE = 0.4;
/** How much of an idea is left where a time is known by heart. */
const LEFT_BY_HEART = 0.1;

/** One answer as such a pupil would give it, and how long it takes. The same random numbers give the same answer. */
export function simulateResponse(
  profile: PupilProfile,
  item: Item,
  settings: LessonSettings,
  rng: Rng,
): { readonly response: Response; readonly responseTimeMs: number } {
  const kind = kindOf(item);
  const responseTimeMs = Math.round(profile.paceMs * slownessAt(kind.timesOf(item)) * longTailed(rng));
  const followed = byIdeas(profile, item, settings, rng);
  if (followed) return { response: followed, responseTimeMs };
  if (profile.skill !== undefined && rng() >= profile.skill) return { response: unknowing(profile, item, settings, rng), responseTimeMs };
  const response = rng() >= profile.carelessness ? kind.keyOf(item, settings) : slip(profile, item, settings, rng);
  return { response, responseTimeMs };
}

/** What the ideas lead to that make a difference to an item and come to mind; null where none does. */
function byIdeas(profile: PupilProfile, item: Item, settings: LessonSettings, rng: Rng): KindResponse | null {
  const known = predictionsOf(item, settings);
  const inMind = profile.misconceptions.filter((id) => known.has(id) && rng() < firmnessAt(profile, id, item));
  const [first, second] = inMind;
  if (!first) return null;
  if (second && rng() < BOTH_AT_ONCE) {
    const both = wrongOf(item, [first, second], profile, settings);
    if (both.length > 0) return drawn(both, rng);
  }
  const own = wrongOf(item, [first], profile, settings);
  return own.length > 0 ? drawn(own, rng) : null;
}

/** Wrong answers of somebody who holds some ideas, in setting hands as well or only in reading them. */
function wrongOf(item: Item, held: readonly MisconceptionId[], { habits }: PupilProfile, settings: LessonSettings): KindResponse[] {
  const kind = kindOf(item);
  const reads = habits?.onlyReads && held.some((id) => readsAndSets(id, settings));
  const acts = reads ? readingActsOf(held, settings) : actsOf(held, settings);
  return kind.predict(item, acts, settings).filter((one) => !isRightVerdict(kind.judge(item, one, settings).verdict));
}

const drawn = <T>(list: readonly T[], rng: Rng): T => list[Math.floor(rng() * list.length)]!;

function firmnessAt({ firmness, habits }: PupilProfile, id: MisconceptionId, item: Item): number {
  const times = kindOf(item).timesOf(item).map(minuteOfHour);
  const heart = habits?.byHeart === 'halves' ? [0, 30] : habits?.byHeart === 'hours' ? [0] : [];
  const isKnown =
    times.length > 0 && times.every((minute) => heart.includes(minute) && (misconceptionOf(id).byHeart ?? []).includes(minute));
  // As uneven as the letters of the kind and the idea: the same for the same pupil each time.
  const place = [...`${item.kind} ${id}`].reduce((sum, letter) => (sum * 31 + letter.codePointAt(0)!) % 1009, 7) / 1009;
  const uneven = firmness + (habits?.uneven ?? 0) * (2 * place - 1);
  return Math.min(1, Math.max(0, uneven)) * (isKnown ? LEFT_BY_HEART : 1);
}

/** Of those who do not know, so many say so. */
const SAYS_SO = 0.25;

/** What somebody gives who does not know: that they are not sure, the answer to a question like it, a usual mistake or a slip. */
function unknowing(profile: PupilProfile, item: Item, settings: LessonSettings, rng: Rng): Response {
  if (rng() < SAYS_SO) return NOT_SURE;
  const kind = kindOf(item);
  const usual = usualMistake(profile, item, settings, rng);
  if (usual) return usual;
  const other = kind.make('guess', rng, rungOf(kind.timesOf(item)), settings);
  const taken = kind.keyOf(other, settings);
  const isWrong = kind.isPossible(item, taken, settings) && !isRightVerdict(kind.judge(item, taken, settings).verdict);
  return isWrong ? taken : kind.slip(item, rng, settings);
}

function slip(profile: PupilProfile, item: Item, settings: LessonSettings, rng: Rng): Response {
  return usualMistake(profile, item, settings, rng) ?? kindOf(item).slip(item, rng, settings);
}

/** A mistake that many make, another one each time. */
function usualMistake({ habits }: PupilProfile, item: Item, settings: LessonSettings, rng: Rng): KindResponse | null {
  if (!habits?.usualMistakes || rng() >= habits.usualMistakes) return null;
  const usual = [...predictionsOf(item, settings).values()];
  return usual.length > 0 ? drawn(drawn(usual, rng), rng) : null;
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
