import { waysToBeWrong } from '../diagnosis/scatter.js';
import { isRightVerdict } from '../question-kinds/verdict.js';
import type { InsightAnswer } from './insight-answer.js';
import { BEFORE, FORGETTING_DAYS, HIGHEST, INTERVAL, LEVELS, LOWEST, SPREAD_A_LESSON, WORDS } from './mastery-model.js';
import { MS_PER_DAY, SAME_LESSON_MS } from '../time/spans.js';

export type MasteryWord = 'sure' | 'nearly' | 'partly' | 'not-yet' | 'too-few';

/** How far a pupil has come on a rung, as it is today. The word comes first; the numbers are for whoever asks. */
export interface Mastery {
  readonly word: MasteryWord;
  /** Chance to answer a question of the rung right that cannot be guessed, 0 to 1. */
  readonly mean: number;
  /** Standard deviation of what is believed of it. */
  readonly spread: number;
  /** Lower and upper end of where it lies with the stated probability, 0 to 1. */
  readonly interval: readonly [number, number];
  readonly answers: number;
  readonly right: number;
  /** When the last answer came, in milliseconds since 1970; null before the first. */
  readonly lastMs: number | null;
}

/** What mastery is computed from: one answer to a question of the rung. */
export interface MasteryAnswer {
  readonly right: boolean;
  /** Chance to be right without knowing, 0 to 1. */
  readonly guess: number;
  /** Milliseconds since 1970. */
  readonly atMs: number;
}

const STEP = (HIGHEST - LOWEST) / (LEVELS - 1);
const LOG_ODDS = Array.from({ length: LEVELS }, (_, level) => LOWEST + level * STEP);
const CHANCES = LOG_ODDS.map((odds) => 1 / (1 + Math.exp(-odds)));

const density = (x: number, mean: number, spread: number) => Math.exp(-0.5 * ((x - mean) / spread) ** 2);
const PRIOR = normalised(Float64Array.from(LOG_ODDS, (odds) => density(odds, BEFORE.mean, BEFORE.spread)));

/**
 * Mastery of a rung from all of a pupil's answers to questions of it, oldest first, as it is at a moment.
 *
 * A hidden chance is followed through time on a grid of log-odds: an answer weighs each level by its likelihood, with guessing
 * where the question lets one guess; between lessons the level wanders as an Ornstein–Uhlenbeck process, whose resting state
 * is what is believed of a pupil of whom nothing is known. So evidence fades, and uncertainty grows again, with the weeks.
 * Source: Bayesian filtering on a grid (Kitagawa, 1987); guessing as in knowledge tracing (Corbett and Anderson, 1995).
 * @param nowMs milliseconds since 1970; answers after it are not looked at
 */
export function masteryOf(answers: readonly MasteryAnswer[], nowMs: number): Mastery {
  let belief: Float64Array = PRIOR;
  let lastMs: number | null = null;
  let [count, rights] = [0, 0];
  for (const { right, guess, atMs } of answers) {
    if (atMs > nowMs) break;
    if (lastMs !== null && atMs - lastMs > SAME_LESSON_MS) belief = wandered(belief, atMs - lastMs, true);
    belief = normalised(
      belief.map((weight, level) => {
        const chance = guess + (1 - guess) * CHANCES[level]!;
        return weight * (right ? chance : 1 - chance);
      }),
    );
    lastMs = atMs;
    count++;
    if (right) rights++;
  }
  if (lastMs !== null && nowMs > lastMs) belief = wandered(belief, nowMs - lastMs, false);
  return { ...describe(belief, count), answers: count, right: rights, lastMs };
}

/** An answer as mastery looks at it. */
export function masteryAnswer({
  item,
  settings,
  verdict,
  atMs,
}: Pick<InsightAnswer, 'item' | 'settings' | 'verdict' | 'atMs'>): MasteryAnswer {
  return { right: isRightVerdict(verdict), guess: 1 / (1 + waysToBeWrong(item, settings)), atMs };
}

/** Where a level is believed to be some time later, before it is looked at again. */
function wandered(belief: Float64Array, ms: number, taught: boolean): Float64Array {
  const rows = kernel(Math.min(400, Math.round((ms / MS_PER_DAY) * 2) / 2), taught);
  const after = new Float64Array(LEVELS);
  for (let from = 0; from < LEVELS; from++) {
    const weight = belief[from]!;
    if (weight < 1e-12) continue;
    const row = rows[from]!;
    for (let to = 0; to < LEVELS; to++) after[to]! += weight * row[to]!;
  }
  return normalised(after);
}

const known = new Map<string, readonly Float64Array[]>();

/** For each level where it goes within so many days. */
function kernel(days: number, taught: boolean): readonly Float64Array[] {
  const key = `${days} ${taught}`;
  let rows = known.get(key);
  if (!rows) {
    const stays = Math.exp(-days / FORGETTING_DAYS);
    const spread = Math.sqrt(BEFORE.spread ** 2 * (1 - stays ** 2) + (taught ? SPREAD_A_LESSON ** 2 : 0));
    rows = LOG_ODDS.map((odds) => {
      const mean = BEFORE.mean + (odds - BEFORE.mean) * stays;
      return normalised(Float64Array.from(LOG_ODDS, (to) => density(to, mean, Math.max(spread, STEP / 2))));
    });
    known.set(key, rows);
  }
  return rows;
}

function describe(belief: Float64Array, answers: number): Pick<Mastery, 'word' | 'mean' | 'spread' | 'interval'> {
  const mean = belief.reduce((sum, weight, level) => sum + weight * CHANCES[level]!, 0);
  const variance = belief.reduce((sum, weight, level) => sum + weight * (CHANCES[level]! - mean) ** 2, 0);
  const interval = [quantile(belief, (1 - INTERVAL) / 2), quantile(belief, (1 + INTERVAL) / 2)] as const;
  const atLeast = (chance: number) => belief.reduce((sum, weight, level) => sum + (CHANCES[level]! >= chance ? weight : 0), 0);
  const { leastAnswers, widest, sure, nearly, notYet } = WORDS;
  const isUnknown = answers < leastAnswers || interval[1] - interval[0] > widest;
  const isSure = atLeast(sure.mastery) >= sure.belief;
  const isNotYet = 1 - atLeast(notYet.mastery) >= notYet.belief;
  const word = isUnknown
    ? 'too-few'
    : isSure
      ? 'sure'
      : isNotYet
        ? 'not-yet'
        : atLeast(nearly.mastery) >= nearly.belief
          ? 'nearly'
          : 'partly';
  return { word, mean, spread: Math.sqrt(variance), interval };
}

/** The chance below which so much of the belief lies, between two levels in proportion. */
function quantile(belief: Float64Array, part: number): number {
  let sum = 0;
  for (let level = 0; level < LEVELS; level++) {
    const weight = belief[level]!;
    if (sum + weight >= part) {
      const odds = LOG_ODDS[level]! + ((part - sum) / weight - 0.5) * STEP;
      return 1 / (1 + Math.exp(-odds));
    }
    sum += weight;
  }
  return CHANCES.at(-1)!;
}

function normalised(weights: Float64Array): Float64Array {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}
