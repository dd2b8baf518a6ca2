import type { RungId } from '../ladder/registry.js';
import type { Answered } from '../diagnosis/diagnose.js';
import type { Verdict } from '../question-kinds/question-kind.js';

/** An answer that counts, with all that insight looks at. */
export interface InsightAnswer extends Answered {
  readonly pupilId: string;
  readonly sessionId: string;
  readonly askingId: string;
  readonly rung: RungId;
  /** As marked, corrections included. */
  readonly verdict: Verdict;
  readonly responseTimeMs: number;
  /** Only what was given on a device tells how long it took. */
  readonly source: 'device' | 'paper' | 'spoken';
}
