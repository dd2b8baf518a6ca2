import { computed, effect } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type {
  ClassDetail,
  ClassSummary,
  LessonDetail,
  LessonSummary,
  PlanDetail,
  SheetAnswers,
  SheetFound,
  SheetKept,
  SheetList,
} from '@zeitpunkt/contract';
import type { RungId } from '@zeitpunkt/core/ladder/registry';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { type SheetVersion, sheetVersions } from '@zeitpunkt/core/paper/versions';
import { kindOf, type Item } from '@zeitpunkt/core/question-kinds/registry';
import type { ClassPlan } from '@zeitpunkt/core/series/plan';
import { lessonOfQuestions } from '@zeitpunkt/core/edit/lesson-of-questions';
import { v4 as uuid } from 'uuid';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import type { VersionsWish } from '../../shared/paper/paper-messages';
import { drawVersions } from './draw-versions';

interface PaperState {
  readonly lessons: readonly LessonSummary[];
  readonly classes: readonly ClassSummary[];
  readonly detail: LessonDetail | null;
  readonly ofClass: ClassDetail | null;
  readonly plan: ClassPlan | null;
  readonly sheets: SheetList['sheets'];
  /** How many versions a sheet has, and with which numbers they are drawn. */
  readonly versionCount: number;
  readonly seed: number;
  /** Whether each pupil of the class has a copy with their name. */
  readonly named: boolean;
  /** The versions that were drawn last, and for what. */
  readonly drawn: { readonly of: VersionsWish; readonly versions: readonly SheetVersion[] } | null;
  /** Questions that are not asked on the sheet, by id. */
  readonly leftOut: readonly string[];
  /** The rung of the chart; null for that of the lesson. */
  readonly rungOfChart: RungId | null;
  /** The sheet that was kept last, with what stands on it: the same one is not kept twice. */
  readonly keptAs: { readonly as: string; readonly kept: SheetKept } | null;
  readonly loaded: boolean;
  readonly problem: string | null;
}

/** What is printed from: a lesson, a class and its plan, and the sheets that were printed before. */
export const PaperStore = signalStore(
  withState<PaperState>({
    lessons: [],
    classes: [],
    detail: null,
    ofClass: null,
    plan: null,
    sheets: [],
    versionCount: 1,
    seed: 1,
    named: false,
    drawn: null,
    keptAs: null,
    leftOut: [],
    rungOfChart: null,
    loaded: false,
    problem: null,
  }),
  withComputed(({ detail, ofClass, leftOut }) => ({
    /** The questions that are asked on the sheet. */
    chosen: computed(() => detail()?.lesson.items.filter(({ id }) => !leftOut().includes(id)) ?? []),
    lesson: computed(() => detail()?.lesson ?? null),
    settings: computed(() => detail()?.lesson.settings ?? DEFAULT_SETTINGS),
    rung: computed((): RungId => {
      const lesson = detail()?.lesson;
      return lesson ? rungOfLesson(lesson) : 'whole-hours';
    }),
    /** Those in the class, in its order. */
    pupils: computed(() => ofClass()?.pupils.filter(({ leftAtMs }) => leftAtMs === null) ?? []),
  })),
  withComputed(({ detail, chosen, rung, settings, versionCount, seed, rungOfChart }) => ({
    chartRung: computed((): RungId => rungOfChart() ?? rung()),
    /** The versions that are wanted; null while there is but one, which asks the questions as they are. */
    wishOfVersions: computed((): VersionsWish | null => {
      if (!detail() || versionCount() === 1 || chosen().length === 0) return null;
      return { items: chosen() as readonly Item[], rung: rung(), settings: settings(), count: versionCount(), seed: seed() };
    }),
    /** All questions of the lesson, each with whether it is asked. */
    questions: computed(() => {
      const asked = new Set(chosen().map(({ id }) => id));
      return (detail()?.lesson.items ?? []).map((item, index) => {
        const { stem } = kindOf(item).viewOf(item as Item, settings());
        return { id: item.id, number: index + 1, stem, chosen: asked.has(item.id) };
      });
    }),
  })),
  withComputed(({ detail, chosen, rung, settings, wishOfVersions, drawn }) => ({
    /** None while they are being drawn. */
    versions: computed(() => {
      const wish = wishOfVersions();
      if (wish) return drawn()?.of === wish ? drawn()!.versions : [];
      return detail() ? sheetVersions(chosen() as readonly Item[], rung(), settings(), 1, 1) : [];
    }),
    isDrawing: computed(() => wishOfVersions() !== null && drawn()?.of !== wishOfVersions()),
  })),
  withComputed(({ named, pupils, versions }) => {
    /** Names are printed where there are some. */
    const isNamed = computed(() => named() && pupils().length > 0);
    /** Who has which version, by its place: a pupil of the class each, or nobody in particular one of each. */
    const copies = computed(() => {
      const count = versions().length;
      if (!isNamed()) return versions().map((_, version) => ({ pupil: null, version }));
      return count === 0 ? [] : pupils().map((pupil, place) => ({ pupil, version: place % count }));
    });
    return { isNamed, copies };
  }),
  withMethods((store) => {
    const attempt = async <T>(work: () => Promise<T>): Promise<T | null> => {
      try {
        const result = await work();
        patchState(store, { problem: null });
        return result;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
        return null;
      }
    };
    const _sheetsOf = (lessonId: string) => ask<SheetList>('GET', `/api/lessons/${lessonId}/sheets`);
    return { attempt, _sheetsOf };
  }),
  withMethods((store) => {
    /** What was chosen last: whatever comes for a lesson or a class from before is not shown any more. */
    const last = { lesson: 0, class: 0 };
    return {
      async load(lessonId: string | null): Promise<void> {
        const mine = (last.lesson += 1);
        await store.attempt(async () => {
          const [lessons, classes, detail, kept] = await Promise.all([
            ask<LessonSummary[]>('GET', '/api/lessons'),
            ask<ClassSummary[]>('GET', '/api/classes'),
            lessonId ? ask<LessonDetail>('GET', `/api/lessons/${lessonId}`) : null,
            lessonId ? store._sheetsOf(lessonId) : null,
          ]);
          if (mine !== last.lesson) return;
          patchState(store, {
            lessons: lessons.filter(({ facts, archivedAtMs }) => facts !== null && archivedAtMs === null),
            classes,
            detail,
            sheets: kept?.sheets ?? [],
            leftOut: [],
            rungOfChart: null,
            loaded: true,
          });
        });
      },
      async chooseClass(classId: string | null): Promise<void> {
        const mine = (last.class += 1);
        await store.attempt(async () => {
          const [ofClass, plan] = classId
            ? await Promise.all([
                ask<ClassDetail>('GET', `/api/classes/${classId}`),
                ask<PlanDetail>('GET', `/api/classes/${classId}/plan`),
              ])
            : [null, null];
          if (mine === last.class) patchState(store, { ofClass, plan: plan?.plan ?? null });
        });
      },
    };
  }),
  withMethods((store) => ({
    setVersions: (versionCount: number) => patchState(store, { versionCount }),
    choose: (id: string, isAsked: boolean) =>
      patchState(store, ({ leftOut }) => ({ leftOut: isAsked ? leftOut.filter((one) => one !== id) : [...leftOut, id] })),
    setRung: (rungOfChart: string) => patchState(store, { rungOfChart: rungOfChart as RungId }),
    /** Other questions in all versions but the first. */
    drawAnew: () => patchState(store, ({ seed }) => ({ seed: seed + 1 })),
    setNamed: (named: boolean) => patchState(store, { named }),
  })),
  withMethods((store) => {
    const loadSheets = async (lessonId: string) => patchState(store, await store._sheetsOf(lessonId));
    return {
      /** Keeps the sheet as it is printed, so that its answers can be typed in. */
      keep: () =>
        store.attempt(async () => {
          const [detail, versions] = [store.detail()!, store.versions()];
          const copies = store.copies().flatMap(({ pupil, version }) => (pupil ? [{ pupilId: pupil.id, version }] : []));
          const sheet = {
            lessonId: detail.id,
            file: lessonOfQuestions(
              { ...detail.lesson, rung: store.rung() },
              versions.flatMap(({ items }) => items),
            ),
            versions: versions.length,
            classId: store.isNamed() ? store.ofClass()!.id : null,
            copies,
          };
          const as = JSON.stringify(sheet);
          const before = store.keptAs();
          if (before?.as === as && store.sheets().some(({ id }) => id === before.kept.id)) return before.kept;
          const kept = await ask<SheetKept>('POST', '/api/sheets', { id: uuid(), ...sheet });
          patchState(store, { keptAs: { as, kept } });
          await loadSheets(detail.id);
          return kept;
        }),
      removeSheet: (id: string) =>
        store.attempt(async () => {
          await ask('POST', `/api/sheets/${id}/delete`);
          await loadSheets(store.detail()!.id);
        }),
    };
  }),
  withMethods((store) => {
    const sessionOf = async (sheetId: string, classId: string) =>
      (await ask<SheetAnswers>('POST', `/api/sheets/${sheetId}/answers`, { classId })).sessionId;
    return {
      /** Where the answers of a class to a sheet are typed in. */
      answersOf: (sheetId: string, classId: string) => store.attempt(() => sessionOf(sheetId, classId)),
      /** The same by the code that stands on the sheet: of the class it was named for, else of the one that is chosen. */
      answersByCode: (code: string) =>
        store.attempt(async () => {
          const { id, classId } = await ask<SheetFound>('GET', `/api/sheets/by-code/${encodeURIComponent(code)}`);
          const whose = classId ?? store.ofClass()?.id;
          if (!whose) throw new ApiProblem('CLASS_NEEDED', 'No names are printed on this sheet: choose the class that answered it.');
          return sessionOf(id, whose);
        }),
    };
  }),
  withHooks({
    onInit(store) {
      effect((onCleanup) => {
        const wish = store.wishOfVersions();
        if (!wish) return;
        onCleanup(
          drawVersions(wish, {
            drawn: (versions) => patchState(store, { drawn: { of: wish, versions }, problem: null }),
            failed: (problem) => patchState(store, { problem }),
          }),
        );
      });
    },
  }),
);
