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
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';

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
  withMethods((store, router = inject(Router)) => {
    const url = (rest = '') => `/api/classes/${store.detail()?.id}${rest}`;
    const pupilUrl = ({ id }: ClassPupil, rest: string) => url(`/pupils/${id}/${rest}`);
    /** Does something that may be refused. Says whether it went well. */
    const attempt = async (work: () => Promise<void>): Promise<boolean> => {
      try {
        await work();
        return true;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error), word: null });
        return false;
      }
    };
    /** Asks for something that gives the class as it is then. Says whether it went well. */
    const take = (path: string, body: unknown, word: string | null): Promise<boolean> =>
      attempt(async () => {
        patchState(store, { detail: await ask<ClassDetail>('POST', path, body), problem: null, word });
        patchState(store, { record: await ask<DataRecord>('GET', url('/record')) });
      });
    return {
      load: (id: string) =>
        attempt(async () => {
          const [detail, classes, record] = await Promise.all([
            ask<ClassDetail>('GET', `/api/classes/${id}`),
            ask<ClassSummary[]>('GET', '/api/classes'),
            ask<DataRecord>('GET', `/api/classes/${id}/record`),
          ]);
          patchState(store, { detail, others: classes.filter((one) => one.id !== id), record, problem: null });
        }),
      loadRecord: () => attempt(async () => patchState(store, { record: await ask<DataRecord>('GET', url('/record')) })),
      /** @param change the new name or how long answers are kept */
      change: (change: ClassChange) => take(url('/change'), change, 'Kept.'),
      checkRetention: (days: number) => ask<RetentionCheck>('GET', url(`/retention/${days}`)),
      add: (name: string) => take(url('/pupils'), { pupils: [{ id: uuid(), name, reference: null }] }, `${name} is in the class.`),
      takeIn: (pupils: PupilsIn['pupils']) =>
        take(
          url('/pupils'),
          { pupils },
          pupils.length === 1 ? `${pupils[0]!.name} is in the class.` : `${pupils.length} pupils are in the class.`,
        ),
      changePupil: (pupil: ClassPupil, change: PupilChange) =>
        take(
          pupilUrl(pupil, 'change'),
          change,
          change.name ? `${pupil.name} is ${change.name} from now on.` : `The reference of ${pupil.name} is kept.`,
        ),
      leave: (pupil: ClassPupil, left: boolean) =>
        take(
          pupilUrl(pupil, 'leave'),
          { left },
          left ? `${pupil.name} has left the class; the answers are kept.` : `${pupil.name} is in the class again.`,
        ),
      move: (pupil: ClassPupil, to: ClassSummary) =>
        take(pupilUrl(pupil, 'move'), { classId: to.id }, `${pupil.name} is in ${to.name} now; past answers went along.`),
      merge: (goes: ClassPupil, stays: ClassPupil) =>
        take(pupilUrl(goes, 'merge'), { into: stays.id }, `${goes.name} and ${stays.name} are one pupil now: ${stays.name}.`),
      remove: (pupil: ClassPupil) => take(pupilUrl(pupil, 'delete'), undefined, `${pupil.name} is deleted, with all answers.`),
      revokeCards: (pupils: readonly ClassPupil[]) =>
        take(
          url('/cards/revoke'),
          { pupilIds: pupils.map(({ id }) => id) },
          pupils.length === 1 ? `The card of ${pupils[0]!.name} opens nothing any more.` : 'None of the cards opens anything any more.',
        ),
      async removeClass(): Promise<void> {
        await attempt(async () => {
          await ask('POST', url('/delete'));
          await router.navigateByUrl('/ladder');
        });
      },
    };
  }),
);
