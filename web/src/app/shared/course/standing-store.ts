import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import type { ClassStanding } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../api';

interface StandingState {
  readonly standing: ClassStanding | null;
  /** Of which class. */
  readonly classId: string | null;
  readonly problem: string | null;
}

/** Where the class at hand stands; it comes after all the rest, since every answer is looked at for it. */
export const StandingStore = signalStore(
  withState<StandingState>({ standing: null, classId: null, problem: null }),
  withMethods((store) => ({
    async load(classId: string): Promise<void> {
      patchState(store, { classId, standing: null, problem: null });
      try {
        const standing = await ask<ClassStanding>('GET', `/api/classes/${classId}/standing`);
        if (store.classId() === classId) patchState(store, { standing });
      } catch (error) {
        if (store.classId() === classId) patchState(store, { problem: sentenceOf(error) });
      }
    },
  })),
);
