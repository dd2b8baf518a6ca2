import { isRightVerdict } from '../question-kinds/verdict.js';
import { textOfResponse } from '../question-kinds/registry.js';
import { answersByPupil } from './by-pupil.js';
import type { InsightAnswer } from './insight-answer.js';

/** One answer that some pupils gave to a question. */
export interface AnswerGroup {
  /** In a few characters or words. */
  readonly text: string;
  readonly right: boolean;
  /** The answers, in the order in which pupils stand in the class. */
  readonly answers: readonly InsightAnswer[];
}

/** What a question told: a hint for whoever asks it again, from one class on one day. */
export interface ItemFacts {
  readonly askingId: string;
  readonly answered: number;
  readonly right: number;
  /** Where the share that is right lies with 80 of a hundred, 0 to 1; null where nobody answered. */
  readonly facility: readonly [number, number] | null;
  /**
   * Whether those who got the rest right got this right, too: *separates*, *backwards* where they rather got it wrong,
   * *unclear* where that cannot be told, *too-few* with fewer than eight pupils, *all-right* and *all-wrong* where it told
   * nothing of who can do it.
   */
  readonly separates: 'separates' | 'backwards' | 'unclear' | 'too-few' | 'all-right' | 'all-wrong';
  /** An answer that most of those who got the rest right gave instead of the key: the key looks doubtful. */
  readonly doubt: AnswerGroup | null;
  /** What was answered, the right ones first, then the most frequent. */
  readonly groups: readonly AnswerGroup[];
  /** By when half and four in five had answered, in seconds; null where fewer than three did so on a device. */
  readonly halfSec: number | null;
  readonly mostSec: number | null;
}

/** Normal deviate of an interval that holds 80 of a hundred. */
const Z = 1.2816;
const LEAST_PUPILS = 8;
/** Who got so much of the rest right knows what is asked. */
const KNOWS = 0.6;
/** So many times as many of those who know gave one other answer as gave the key. */
const DOUBTFUL = 2;
/** So many who know gave one and the same other answer. */
const LEAST_DOUBT = 4;

/**
 * What each question of a lesson told.
 * @param answers of one lesson: of each pupil the one that counts to each question
 * @param askingIds in the order asked; also those that nobody answered
 */
export function itemFacts(askingIds: readonly string[], answers: readonly InsightAnswer[]): ItemFacts[] {
  const byPupil = answersByPupil(answers);
  /** Share of the pupil's other answers that are right; null with fewer than two. */
  const restOf = ({ pupilId, askingId }: InsightAnswer): number | null => {
    const others = byPupil.get(pupilId)!.filter((one) => one.askingId !== askingId);
    return others.length < 2 ? null : others.filter(({ verdict }) => isRightVerdict(verdict)).length / others.length;
  };
  return askingIds.map((askingId) => factsOf(askingId, answers.filter((one) => one.askingId === askingId), restOf)); // prettier-ignore
}

function factsOf(askingId: string, own: readonly InsightAnswer[], restOf: (one: InsightAnswer) => number | null): ItemFacts {
  const right = own.filter(({ verdict }) => isRightVerdict(verdict)).length;
  const groups = groupsOf(own);
  const times = own.flatMap(({ source, responseTimeMs }) => (source === 'device' ? [responseTimeMs] : [])).sort((a, b) => a - b);
  const at = (part: number) => (times.length < 3 ? null : Math.round(times[Math.floor(part * (times.length - 1))]! / 1000));
  return {
    askingId,
    answered: own.length,
    right,
    facility: own.length === 0 ? null : wilson(right, own.length),
    separates: separation(own, right, restOf),
    doubt: doubtIn(groups, restOf),
    groups,
    halfSec: at(0.5),
    mostSec: at(0.8),
  };
}

/** Answers by what was given, the right ones first, then the most frequent. */
export function groupsOf(answers: readonly InsightAnswer[]): AnswerGroup[] {
  const groups = new Map<string, { text: string; right: boolean; answers: InsightAnswer[] }>();
  for (const one of answers) {
    const text = textOfResponse(one.item, one.response, one.settings);
    const right = isRightVerdict(one.verdict);
    const key = `${right} ${text}`;
    const group = groups.get(key);
    if (group) group.answers.push(one);
    else groups.set(key, { text, right, answers: [one] });
  }
  return [...groups.values()].sort((one, other) => Number(other.right) - Number(one.right) || other.answers.length - one.answers.length);
}

/** Where a share lies. Source: the score interval of Wilson (1927), which holds for few answers, too. */
function wilson(right: number, of: number): readonly [number, number] {
  const centre = (right + Z ** 2 / 2) / (of + Z ** 2);
  const half = (Z / (of + Z ** 2)) * Math.sqrt((right * (of - right)) / of + Z ** 2 / 4);
  return [Math.max(0, centre - half), Math.min(1, centre + half)];
}

/** By the correlation of right and wrong with the rest, without the question itself. Source: Fisher's transformation for its interval. */
function separation(own: readonly InsightAnswer[], right: number, restOf: (one: InsightAnswer) => number | null): ItemFacts['separates'] {
  if (own.length > 0 && right === own.length) return 'all-right';
  if (own.length > 0 && right === 0) return 'all-wrong';
  const pairs = own.flatMap((one) => {
    const rest = restOf(one);
    return rest === null ? [] : [[isRightVerdict(one.verdict) ? 1 : 0, rest] as const];
  });
  if (pairs.length < LEAST_PUPILS) return 'too-few';
  const r = correlation(pairs);
  if (r === null) return 'unclear';
  const z = Math.atanh(Math.max(-0.99, Math.min(0.99, r)));
  const half = Z / Math.sqrt(pairs.length - 3);
  return z - half > 0 ? 'separates' : z + half < 0 ? 'backwards' : 'unclear';
}

function correlation(pairs: readonly (readonly [number, number])[]): number | null {
  const mean = (place: 0 | 1) => pairs.reduce((sum, pair) => sum + pair[place], 0) / pairs.length;
  const [x, y] = [mean(0), mean(1)];
  const sum = (of: (dx: number, dy: number) => number) => pairs.reduce((total, [one, other]) => total + of(one - x, other - y), 0);
  const scale = Math.sqrt(sum((dx) => dx * dx) * sum((_, dy) => dy * dy));
  return scale === 0 ? null : sum((dx, dy) => dx * dy) / scale;
}

/** An answer marked wrong that more of those who know gave than gave the key. */
function doubtIn(groups: readonly AnswerGroup[], restOf: (one: InsightAnswer) => number | null): AnswerGroup | null {
  const knowing = ({ answers }: AnswerGroup) => answers.filter((one) => (restOf(one) ?? 0) >= KNOWS && one.verdict !== 'blank').length;
  const rights = groups.filter(({ right }) => right).reduce((sum, group) => sum + knowing(group), 0);
  const doubtful = groups.filter((group) => !group.right && knowing(group) >= LEAST_DOUBT && knowing(group) >= DOUBTFUL * rights);
  return doubtful.sort((one, other) => knowing(other) - knowing(one))[0] ?? null;
}
