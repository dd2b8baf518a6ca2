import { type Signal, signal } from '@angular/core';
import { sentenceOf } from './api';

export interface Attempting {
  /** What went wrong last, in a sentence; null where nothing did. */
  readonly problem: Signal<string | null>;
  /** Does something that may fail with a sentence. Resolves with whether it went well; then no sentence stands there any more. */
  readonly attempt: (work: () => unknown) => Promise<boolean>;
}

/** What a part of a place needs whose acts may fail, and that has no store. */
export function attempting(): Attempting {
  const problem = signal<string | null>(null);
  return {
    problem: problem.asReadonly(),
    async attempt(work) {
      try {
        await work();
        problem.set(null);
        return true;
      } catch (error) {
        problem.set(sentenceOf(error));
        return false;
      }
    },
  };
}
