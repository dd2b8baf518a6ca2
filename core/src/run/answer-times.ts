import type { RungId } from '../ladder/registry.js';
import type { QuestionKindId } from '../question-kinds/registry.js';

/** How long a class takes for a kind of question, in seconds. */
export interface AnswerTimes {
  readonly answers: number;
  /** By then half of them have answered. */
  readonly halfSec: number;
  /** By then four in five have: so much think time leaves few behind. */
  readonly mostSec: number;
}

/** The same for each kind of question, and for each rung on which there were enough answers to it. */
export type ClassTimes = Partial<Record<QuestionKindId, AnswerTimes & { readonly byRung: Partial<Record<RungId, AnswerTimes>> }>>;

/** With fewer answers nothing is said of a kind, or of a kind on a rung. */
const LEAST_ANSWERS = 15;
const MOST = 0.8;

/**
 * How long answers took, by the kind of question and the rung; what has too few answers is left out.
 * @param answers with response times in milliseconds
 */
export function answerTimes(
  answers: Iterable<{ readonly kind: QuestionKindId; readonly rung: RungId; readonly responseTimeMs: number }>,
): ClassTimes {
  const byKind = new Map<QuestionKindId, Map<RungId, number[]>>();
  for (const { kind, rung, responseTimeMs } of answers) {
    const rungs = byKind.get(kind) ?? new Map<RungId, number[]>();
    byKind.set(kind, rungs);
    const times = rungs.get(rung);
    if (times) times.push(responseTimeMs);
    else rungs.set(rung, [responseTimeMs]);
  }
  const told: ClassTimes = {};
  for (const [kind, rungs] of byKind) {
    const all = timesOf([...rungs.values()].flat());
    if (!all) continue;
    const enough = [...rungs].flatMap(([rung, own]) => {
      const times = timesOf(own);
      return times ? [[rung, times] as const] : [];
    });
    told[kind] = { ...all, byRung: Object.fromEntries(enough) };
  }
  return told;
}

/** @returns null with too few of them */
function timesOf(times: readonly number[]): AnswerTimes | null {
  if (times.length < LEAST_ANSWERS) return null;
  const sorted = [...times].sort((one, other) => one - other);
  const at = (share: number) => Math.round(sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]! / 1000);
  return { answers: sorted.length, halfSec: at(0.5), mostSec: at(MOST) };
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
