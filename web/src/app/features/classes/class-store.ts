import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import type { ClassDetail, Pupil } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';

interface ClassState {
  readonly detail: ClassDetail | null;
  readonly problem: string | null;
  /** What was just done. */
  readonly word: string | null;
}

/** One class and its pupils. Open rooms follow what changes here. */
export const ClassStore = signalStore(
  withState<ClassState>({ detail: null, problem: null, word: null }),
  withMethods((store, router = inject(Router)) => {
    const url = (rest = '') => `/api/classes/${store.detail()?.id}${rest}`;
    /** Asks for something that gives the class as it is then. Says whether it went well. */
    const take = async (asked: Promise<ClassDetail>, word: string | null = null): Promise<boolean> => {
      try {
        patchState(store, { detail: await asked, problem: null, word });
        return true;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error), word: null });
        return false;
      }
    };
    return {
      load: (id: string) => take(ask('GET', `/api/classes/${id}`)),
      add: (name: string) => take(ask('POST', url('/pupils'), { id: uuid(), name }), `${name} is in the class.`),
      rename: ({ id, name }: Pupil, to: string) =>
        take(ask('POST', url(`/pupils/${id}/rename`), { name: to }), `${name} is ${to} from now on.`),
      remove: ({ id, name }: Pupil) => take(ask('POST', url(`/pupils/${id}/delete`)), `${name} is deleted, with all answers.`),
      async removeClass(): Promise<void> {
        try {
          await ask('POST', url('/delete'));
          await router.navigateByUrl('/ladder');
        } catch (error) {
          patchState(store, { problem: sentenceOf(error) });
        }
      },
    };
  }),
);
