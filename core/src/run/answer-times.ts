import type { QuestionKindId } from '../question-kinds/registry.js';

/** How long a class takes for a kind of question, in seconds. */
export interface AnswerTimes {
  readonly answers: number;
  /** By then half of them have answered. */
  readonly halfSec: number;
  /** By then four in five have: so much think time leaves few behind. */
  readonly mostSec: number;
}

/** With fewer answers nothing is said of a kind. */
const LEAST_ANSWERS = 15;
const MOST = 0.8;

/**
 * How long answers took, by the kind of question; kinds with too few answers are left out.
 * @param answers with response times in milliseconds
 */
export function answerTimes(
  answers: Iterable<{ readonly kind: QuestionKindId; readonly responseTimeMs: number }>,
): Partial<Record<QuestionKindId, AnswerTimes>> {
  const byKind = new Map<QuestionKindId, number[]>();
  for (const { kind, responseTimeMs } of answers) {
    const times = byKind.get(kind);
    if (times) times.push(responseTimeMs);
    else byKind.set(kind, [responseTimeMs]);
  }
  const told: Partial<Record<QuestionKindId, AnswerTimes>> = {};
  for (const [kind, times] of byKind) {
    if (times.length < LEAST_ANSWERS) continue;
    times.sort((one, other) => one - other);
    const at = (share: number) => Math.round(times[Math.min(times.length - 1, Math.floor(share * times.length))]! / 1000);
    told[kind] = { answers: times.length, halfSec: at(0.5), mostSec: at(MOST) };
  }
  return told;
}

/** Think time is planned in steps of so many seconds. */
const STEP_SEC = 5;
/** What was measured moves the usual think time at most by these factors: a few odd lessons shall not spoil a plan. */
const [LEAST, LONGEST] = [0.6, 2];

/** The think time to plan for a class, in seconds: as long as most of it took, within reason of what is usual. */
export function plannedThinkSec(usualSec: number, measured: AnswerTimes | undefined): number {
  if (!measured) return usualSec;
  const wanted = Math.ceil(measured.mostSec / STEP_SEC) * STEP_SEC;
  return Math.min(Math.round(usualSec * LONGEST), Math.max(Math.round(usualSec * LEAST), wanted));
}
