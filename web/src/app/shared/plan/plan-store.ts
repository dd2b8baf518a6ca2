import { computed, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { DraftWish, PlanDetail, PlanSaved } from '@zeitpunkt/contract';
import { NEW_PLAN, type ClassPlan, type IsoDate, type Weekday } from '@zeitpunkt/core/series/plan';
import type { SeriesWish } from '@zeitpunkt/core/series/series';
import { v4 as uuid } from 'uuid';
import { Notice } from '../../ui/parts/notice';
import { ask, sentenceOf } from '../api';
import { withAutosave } from '../with-autosave';
import { withHistory } from '../with-history';
import { PLAN_WORDS } from './words';

interface PlanState {
  /** The class at hand with the revision its plan is saved in; null until it is here. */
  readonly at: { readonly classId: string; readonly revision: number } | null;
  readonly problem: string | null;
  /** How many lessons of a series are drafted, while they are; `done` of `of`. */
  readonly drafting: { readonly done: number; readonly of: number } | null;
  /** What came of a series that was drafted. */
  readonly word: string | null;
}

/** What a series is drafted from. */
export interface SeriesOrder {
  readonly wishes: readonly SeriesWish[];
  readonly minutes: number;
  readonly delivery: DraftWish['delivery'];
  readonly startsOn: IsoDate;
  readonly weekdays: readonly Weekday[];
}

type ToSave = PlanDetail & { readonly classId: string };

const send = async ({ classId, ...body }: ToSave): Promise<number> =>
  (await ask<PlanSaved>('POST', `/api/classes/${classId}/plan`, body)).revision;

/** What is planned for the class at hand: every change is a step that can be undone, and saves itself. */
export const PlanStore = signalStore(
  withState<PlanState>({ at: null, problem: null, drafting: null, word: null }),
  withHistory<ClassPlan>(NEW_PLAN),
  withComputed(({ at, history }) => ({
    plan: computed(() => history().now),
    toSave: computed((): ToSave | null => {
      const place = at();
      return place && { ...place, plan: history().now };
    }),
  })),
  withMethods((store) => ({
    noteVersion: ({ classId }: ToSave, revision: number) => patchState(store, { at: { classId, revision } }),
  })),
  withAutosave({ send, overtakenBy: ['PLAN_CHANGED', 'NOT_FOUND'] }),
  withMethods((store, notice = inject(Notice)) => ({
    /**
     * One step, and what came of it in a sentence, with the press that takes it back: only this step, not one that was taken since.
     * @param alsoUndo what else is taken back with it
     */
    changeAndSay(change: (plan: ClassPlan) => ClassPlan, said: string, alsoUndo?: () => unknown): void {
      const before = store.plan();
      store.change(change);
      const after = store.plan();
      notice.say(said, () => {
        if (store.plan() !== after) notice.say(PLAN_WORDS().changedSince);
        else if (after !== before) store.undo();
        alsoUndo?.();
      });
    },

    /** Takes up the plan of a class; the one before is saved first. */
    async load(classId: string): Promise<void> {
      await store.save();
      try {
        const { revision, plan } = await ask<PlanDetail>('GET', `/api/classes/${classId}/plan`);
        store.beginWith(plan);
        store.startSaved();
        patchState(store, { at: { classId, revision }, problem: null, word: null });
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
      }
    },
  })),
  withMethods((store) => {
    let cancelling = new AbortController();
    return {
      /** Drafts the lessons of a series one after another and plans them, behind those that are planned already. */
      async draftSeries({ wishes, minutes, delivery, startsOn, weekdays }: SeriesOrder): Promise<void> {
        const classId = store.at()?.classId;
        if (!classId || store.drafting()) return;
        const { signal } = (cancelling = new AbortController());
        const lessonIds: string[] = [];
        patchState(store, { drafting: { done: 0, of: wishes.length }, problem: null, word: null });
        try {
          for (const wish of wishes) {
            if (signal.aborted) break;
            const id = uuid();
            await ask('POST', '/api/lessons', { id, classId, minutes, delivery, ...wish });
            lessonIds.push(id);
            patchState(store, { drafting: { done: lessonIds.length, of: wishes.length } });
          }
          patchState(store, {
            word: signal.aborted ? PLAN_WORDS().stopped(lessonIds.length, wishes.length) : PLAN_WORDS().drafted(lessonIds.length),
          });
        } catch (error) {
          // What is drafted already stays, and is planned.
          patchState(store, { problem: sentenceOf(error) });
        } finally {
          patchState(store, { drafting: null });
          if (lessonIds.length > 0) store.change((plan) => withLessons(plan, lessonIds, startsOn, weekdays));
        }
      },

      /** No more lessons are drafted; those that are stay. */
      stopDrafting(): void {
        cancelling.abort();
      },
    };
  }),
  withHooks({
    onInit(store) {
      store.onStep(() => store.changed());
    },
  }),
);

function withLessons(plan: ClassPlan, lessonIds: readonly string[], startsOn: IsoDate, weekdays: readonly Weekday[]): ClassPlan {
  const { series } = plan;
  if (series) return { ...plan, series: { ...series, lessonIds: [...series.lessonIds, ...lessonIds] } };
  return { ...plan, series: { startsOn, weekdays, lessonIds, skipped: [] } };
}
