import { computed, inject } from '@angular/core';
import { Router } from '@angular/router';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type {
  ClassChange,
  ClassDetail,
  ClassPupil,
  ClassSummary,
  DataRecord,
  PupilChange,
  PupilsIn,
  RetentionCheck,
} from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { CurrentClass } from '../../shared/current-class';
import { CLASS_WORDS } from './words';

interface ClassState {
  readonly detail: ClassDetail | null;
  /** The teacher's other classes, where a pupil can move to. */
  readonly others: readonly ClassSummary[];
  /** What was done with the data of this class, the newest first. */
  readonly record: DataRecord;
  readonly problem: string | null;
  /** What was just done. */
  readonly word: string | null;
}

/** One class and its pupils. Open rooms follow what changes here. */
export const ClassStore = signalStore(
  withState<ClassState>({ detail: null, others: [], record: [], problem: null, word: null }),
  withComputed(({ detail }) => ({
    present: computed(() => detail()?.pupils.filter(({ leftAtMs }) => leftAtMs === null) ?? []),
    left: computed(() => detail()?.pupils.filter(({ leftAtMs }) => leftAtMs !== null) ?? []),
  })),
  withMethods((store) => {
    const _url = (rest = '') => `/api/classes/${store.detail()?.id}${rest}`;
    /** Does something that may be refused. Says whether it went well. */
    const _attempt = async (work: () => Promise<void>): Promise<boolean> => {
      try {
        await work();
        return true;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error), word: null });
        return false;
      }
    };
    /** Asks for something that gives the class as it is then. Says whether it went well. */
    const _take = (path: string, body: unknown, word: string | null): Promise<boolean> =>
      _attempt(async () => {
        patchState(store, { detail: await ask<ClassDetail>('POST', path, body), problem: null, word });
        patchState(store, { record: await ask<DataRecord>('GET', _url('/record')) });
      });
    return { _attempt, _take, _url };
  }),
  withMethods((store, router = inject(Router), current = inject(CurrentClass)) => ({
    load: (id: string) =>
      store._attempt(async () => {
        const [detail, classes, record] = await Promise.all([
          ask<ClassDetail>('GET', `/api/classes/${id}`),
          ask<ClassSummary[]>('GET', '/api/classes'),
          ask<DataRecord>('GET', `/api/classes/${id}/record`),
        ]);
        patchState(store, { detail, others: classes.filter((one) => one.id !== id), record, problem: null });
      }),
    loadRecord: () => store._attempt(async () => patchState(store, { record: await ask<DataRecord>('GET', store._url('/record')) })),
    /** @param change the new name or how long answers are kept */
    change: async (change: ClassChange): Promise<boolean> => {
      const isDone = await store._take(store._url('/change'), change, CLASS_WORDS().done.kept);
      if (isDone && change.name !== undefined) await current.load();
      return isDone;
    },
    checkRetention: (days: number) => ask<RetentionCheck>('GET', store._url(`/retention/${days}`)),
    takeIn: async (pupils: PupilsIn['pupils']): Promise<boolean> => {
      const isDone = await store._take(store._url('/pupils'), { pupils }, CLASS_WORDS().done.added(pupils.map(({ name }) => name)));
      if (isDone) await current.load(); // how many they are stands in the frame
      return isDone;
    },
    /** The class is another teacher's now. */
    async leaveClass(): Promise<void> {
      await current.load();
      await router.navigateByUrl('/today');
    },
    async removeClass(): Promise<void> {
      await store._attempt(async () => {
        await ask('POST', store._url('/delete'));
        await current.load();
        await router.navigateByUrl('/today');
      });
    },
  })),
  withMethods((store) => {
    const done = () => CLASS_WORDS().done;
    const pupilUrl = ({ id }: ClassPupil, rest: string) => store._url(`/pupils/${id}/${rest}`);
    return {
      changePupil: (pupil: ClassPupil, change: PupilChange) =>
        store._take(pupilUrl(pupil, 'change'), change, change.name ? done().renamed(pupil.name, change.name) : done().referred(pupil.name)),
      leave: (pupil: ClassPupil, left: boolean) =>
        store._take(pupilUrl(pupil, 'leave'), { left }, left ? done().left(pupil.name) : done().back(pupil.name)),
      move: (pupil: ClassPupil, to: ClassSummary) =>
        store._take(pupilUrl(pupil, 'move'), { classId: to.id }, done().moved(pupil.name, to.name)),
      merge: (goes: ClassPupil, stays: ClassPupil) =>
        store._take(pupilUrl(goes, 'merge'), { into: stays.id }, done().merged(goes.name, stays.name)),
      remove: (pupil: ClassPupil) => store._take(pupilUrl(pupil, 'delete'), undefined, done().removed(pupil.name)),
      revokeCards: (pupils: readonly ClassPupil[]) =>
        store._take(store._url('/cards/revoke'), { pupilIds: pupils.map(({ id }) => id) }, done().revoked(pupils.map(({ name }) => name))),
    };
  }),
);
