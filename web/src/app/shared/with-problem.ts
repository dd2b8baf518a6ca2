import { patchState, signalStoreFeature, withMethods, withState } from '@ngrx/signals';
import { sentenceOf } from './api';

/** What went wrong last, in a sentence for whoever looks at the screen; null where nothing did. */
export function withProblem() {
  return signalStoreFeature(
    withState<{ problem: string | null }>({ problem: null }),
    withMethods((store) => ({
      tell: (problem: string | null) => patchState(store, { problem }),

      /** Does something that may fail with a sentence. Resolves with whether it went well; then no sentence stands there any more. */
      async attempt(work: () => unknown): Promise<boolean> {
        try {
          await work();
          patchState(store, { problem: null });
          return true;
        } catch (error) {
          patchState(store, { problem: sentenceOf(error) });
          return false;
        }
      },
    })),
  );
}
