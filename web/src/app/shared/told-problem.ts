import { ApiProblem, type Params, sentenceOf } from './api';
import type { ProblemCode } from './page-codes';

/** A problem as a worker tells it to its page, since an error's class would be lost on the way. */
export interface ToldProblem {
  /** Null for a fault of ours. */
  readonly code: ProblemCode | null;
  readonly sentence: string;
  readonly status: number;
  readonly params: Params;
}

/** An error as a worker tells it. What is no problem but a fault is written down here, where its reason can still be found. */
export function toldOf(error: unknown): ToldProblem {
  if (isCoded(error)) return { code: error.code, sentence: error.message, status: error.status ?? 0, params: error.params };
  console.error(error);
  return { code: null, sentence: sentenceOf(error), status: 0, params: {} };
}

/** What a worker told, as the error it was. */
export function errorOf({ code, sentence, status, params }: ToldProblem): Error {
  return code === null ? new Error(sentence) : new ApiProblem(code, sentence, status, params);
}

interface Coded extends Error {
  readonly code: ProblemCode;
  readonly status?: number;
  readonly params: Params;
}

/** Whether an error carries one of our codes and what its sentence speaks of. */
function isCoded(error: unknown): error is Coded {
  return error instanceof Error && 'code' in error && typeof error.code === 'string' && 'params' in error;
}
