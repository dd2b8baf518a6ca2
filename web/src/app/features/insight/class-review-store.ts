import { computed, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { DesignedSet } from '@zeitpunkt/core/diagnosis/design-set';
import type { ClassChange } from '@zeitpunkt/core/insight/change';
import { type FollowUp, type Group, type GroupKey, groupsFor } from '@zeitpunkt/core/insight/groups';
import type { AnswerFilter } from '@zeitpunkt/core/insight/insight-book';
import type { RungId } from '@zeitpunkt/core/ladder/registry';
import type { IsoDate, ClassPlan } from '@zeitpunkt/core/series/plan';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { daysToPlan } from '@zeitpunkt/core/series/series';
import type { HomePageEdit, PlanDetail, ReviewNotes } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { Designer } from '../../shared/diagnosis/designer';
import type { AnswerInLesson, ClassInsight } from '../../shared/insight/insight-messages';
import { PlanChange } from '../../shared/plan/plan-change';
import { InsightSource } from '../../shared/insight/insight-source';

/** The set of questions of a group: how far its choice is, or what was chosen. */
export interface GroupSet {
  readonly count: number;
  readonly progress: number | null;
  readonly set: DesignedSet | null;
  readonly problem: string | null;
  /** Another set each time one is asked for. */
  readonly seed: number;
}

interface ClassReviewState {
  readonly insight: ClassInsight | null;
  /** How far the looking is, 0 to 1; null when nothing is under way. */
  readonly progress: number | null;
  readonly problem: string | null;
  readonly notes: ReviewNotes;
  /** The answers that are shown, and what they have in common. */
  readonly shown: { readonly title: string; readonly answers: readonly AnswerInLesson[] } | null;
  readonly sets: Readonly<Record<string, GroupSet>>;
  /** Days on which the next lesson can be put, the first one first. */
  readonly days: readonly IsoDate[];
  readonly plan: ClassPlan | null;
  readonly drafting: boolean;
  readonly change: ClassChange | null;
}

const NO_NOTES: ReviewNotes = { comments: [], moves: [], wordings: [], homePages: [] };
const DAYS_AHEAD = 8;
const QUESTIONS = 6;
const POOL = 1200;
/** A lesson for a group. */
const MINUTES = 15;
/** A few questions beside it. */
const FOLLOW_UP_MINUTES = 6;

/** What is known of a class, what its teacher made of it, and the way to its next lesson. */
export const ClassReviewStore = signalStore(
  withState<ClassReviewState>({
    insight: null,
    progress: null,
    problem: null,
    notes: NO_NOTES,
    shown: null,
    sets: {},
    days: [],
    plan: null,
    drafting: false,
    change: null,
  }),
  withComputed(({ insight, notes }) => ({
    groups: computed(() => {
      const known = insight();
      return known ? groupsFor(known.picture, notes().moves) : null;
    }),
  })),
  withMethods((store, source = inject(InsightSource)) => {
    const tell = (error: unknown) => patchState(store, { problem: sentenceOf(error) });
    return {
      /** Looks at all answers of a class. */
      async open(id: string): Promise<void> {
        patchState(store, { progress: 0, problem: null });
        try {
          const [insight, notes, { plan }] = await Promise.all([
            source.open(id, Date.now(), (progress) => patchState(store, { progress })),
            ask<ReviewNotes>('GET', `/api/classes/${id}/notes`),
            ask<PlanDetail>('GET', `/api/classes/${id}/plan`),
          ]);
          const today = dayOf(Date.now());
          patchState(store, { insight, notes, plan, days: daysToPlan(plan, today, DAYS_AHEAD + 1).filter((day) => day > today) });
        } catch (error) {
          tell(error);
        }
        patchState(store, { progress: null });
      },

      async show(title: string, filter: AnswerFilter): Promise<void> {
        try {
          patchState(store, { shown: { title, answers: await source.answers(filter) } });
        } catch (error) {
          tell(error);
        }
      },
      hide: () => patchState(store, { shown: null }),

      /** What changed from the end of one lesson to the end of another. */
      async compare(fromMs: number, toMs: number): Promise<void> {
        try {
          patchState(store, { change: await source.change(fromMs, toMs) });
        } catch (error) {
          tell(error);
        }
      },

      weeks: (pupilId: string) => source.weeks(pupilId),
    };
  }),
  withMethods((store) => {
    const keep = async (path: string, body?: unknown): Promise<boolean> => {
      try {
        const notes = await ask<ReviewNotes | undefined>('POST', `/api/classes/${store.insight()!.classId}/${path}`, body);
        patchState(store, { problem: null, ...(notes && { notes }) });
        return true;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
        return false;
      }
    };
    return {
      /** Puts a pupil into a group; null: where the proposal has them. */
      async move(pupilId: string, key: GroupKey | null): Promise<void> {
        const before = store.notes();
        const others = before.moves.filter((one) => one.pupilId !== pupilId);
        patchState(store, { notes: { ...before, moves: key ? [...others, { pupilId, key }] : others } });
        if (!(await keep('moves', { pupilId, key }))) patchState(store, { notes: before });
      },

      comment: (pupilId: string, text: string) => keep(`pupils/${pupilId}/comments`, { id: uuid(), responseId: null, text }),
      deleteComment: (pupilId: string, id: string) => keep(`pupils/${pupilId}/comments/${id}/delete`),
      takeWordingBack: (id: string) => keep(`wordings/${id}/take-back`),

      /** Keeps a page for home as the teacher wrote it; null: as it is proposed. */
      async keepHomePage(pupilId: string, page: HomePageEdit | null): Promise<boolean> {
        const kept = await keep(page ? `home/${pupilId}` : `home/${pupilId}/anew`, page ?? undefined);
        if (!kept) return false;
        patchState(store, ({ notes }) => ({
          notes: {
            ...notes,
            homePages: [
              ...notes.homePages.filter((one) => one.pupilId !== pupilId),
              ...(page ? [{ pupilId, page, atMs: Date.now() }] : []),
            ],
          },
        }));
        return true;
      },
    };
  }),
  withMethods((store, designer = inject(Designer)) => {
    const _setOf = (key: GroupKey): GroupSet =>
      store.sets()[key] ?? { count: QUESTIONS, progress: null, set: null, problem: null, seed: 1 };
    const changeSet = (key: GroupKey, change: Partial<GroupSet>) =>
      patchState(store, ({ sets }) => ({ sets: { ...sets, [key]: { ..._setOf(key), ...change } } }));
    /** Chooses the questions of a group, made to measure for what its pupils may hold. */
    const design = async ({ key, ideas, rung }: Group): Promise<void> => {
      const { count, seed } = _setOf(key);
      changeSet(key, { progress: 0, problem: null });
      try {
        const wish = { count, ideas };
        const { settings } = store.insight()!;
        const designing = designer.design({ wish, rung, settings, asked: [], seed, poolSize: POOL }, (progress) =>
          changeSet(key, { progress }),
        );
        changeSet(key, { set: await designing.done, progress: null });
      } catch (error) {
        changeSet(key, { progress: null, problem: sentenceOf(error) });
      }
    };
    return {
      _setOf,

      /** Chooses questions for every group that has none yet, one group after the other. */
      async designAll(): Promise<void> {
        for (const group of store.groups()?.groups ?? []) if (!_setOf(group.key).set) await design(group);
      },

      design: (group: Group, count: number) => {
        changeSet(group.key, { count, seed: _setOf(group.key).seed + 1 });
        return design(group);
      },
    };
  }),
  withMethods((store, planChange = inject(PlanChange)) => {
    const draft = async (
      wish: { rung: RungId; minutes: number; insight: object },
      date: IsoDate | null,
      how: 'beside' | 'instead' = 'beside',
    ): Promise<string | null> => {
      const id = uuid();
      patchState(store, { drafting: true, problem: null });
      try {
        await ask('POST', '/api/lessons', { id, classId: store.insight()!.classId, delivery: 'live', ...wish });
        if (date) await planChange.put(store.insight()!.classId, id, date, how);
        return id;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
        return null;
      } finally {
        patchState(store, { drafting: false });
      }
    };
    return {
      /** Drafts the next lesson for a group, with its questions in it, and puts it on a day. Returns its id; null with the reason in `problem`. */
      draft({ rung, ideas, key }: Group, date: IsoDate | null, how: 'beside' | 'instead'): Promise<string | null> {
        const misconceptions = ideas.slice(0, 5).map((one) => one.id);
        return draft({ rung, minutes: MINUTES, insight: { misconceptions, items: store._setOf(key).set?.items ?? [] } }, date, how);
      },

      /** Drafts a short lesson about one idea. Returns its id; null with the reason in `problem`. */
      draftFollowUp: ({ idea, rung }: FollowUp) =>
        draft({ rung, minutes: FOLLOW_UP_MINUTES, insight: { misconceptions: [idea], items: [] } }, null),
    };
  }),
  withHooks((_store, source = inject(InsightSource)) => ({ onDestroy: () => source.stop() })),
);
