import { computed } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { MarkCorrect, MarkedResponse, ReviewNotes, SessionDetail, SheetOfSession } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import type { InsightAnswer } from '@zeitpunkt/core/insight/insight-answer';
import { itemFacts } from '@zeitpunkt/core/insight/item-facts';
import { stoodOut } from '@zeitpunkt/core/insight/stood-out';
import { ask } from '../../shared/api';
import { withProblem } from '../../shared/with-problem';
import { answersOfLesson } from '../../shared/insight/answers-of-lesson';
import type { AnswerInLesson } from '../../shared/insight/insight-messages';
import { withCounted } from '../../shared/late';
import { reviewTable } from './review-table';

/** What is looked at closely: one answer, one question, or some answers that have something in common. */
export type Opened =
  | { readonly kind: 'cell'; readonly pupilId: string; readonly askingId: string }
  | { readonly kind: 'question'; readonly askingId: string }
  | { readonly kind: 'answers'; readonly title: string; readonly answers: readonly InsightAnswer[] };

interface ReviewState {
  readonly detail: SessionDetail | null;
  /** The versions of the sheet that was answered, as asking ids; none where there was no sheet. */
  readonly versions: readonly (readonly string[])[];
  readonly opened: Opened | null;
  /** What was done last, so that it can be taken back. */
  readonly word: string | null;
}

/** One taught lesson under review. */
export const ReviewStore = signalStore(
  withState<ReviewState>({ detail: null, versions: [], opened: null, word: null }),
  withProblem(),
  withComputed(({ detail, versions }) => ({
    table: computed(() => {
      const loaded = detail();
      return loaded && reviewTable(loaded, versions());
    }),
    answers: computed(() => {
      const loaded = detail();
      return loaded ? answersOfLesson(loaded) : [];
    }),
  })),
  withComputed(({ table, detail, answers, opened }) => ({
    facts: computed(
      () =>
        new Map(
          itemFacts(
            (table()?.questions ?? []).map(({ askingId }) => askingId),
            answers(),
          ).map((one) => [one.askingId, one]),
        ),
    ),
    cell: computed(() => {
      const at = opened();
      if (at?.kind !== 'cell') return null;
      const row = table()?.rows.find(({ pupil }) => pupil.id === at.pupilId);
      return (row && row.cells.find(({ question }) => question.askingId === at.askingId)) ?? null;
    }),
    names: computed(() => new Map((detail()?.pupils ?? []).map(({ id, name }) => [id, name]))),
  })),
  withComputed(({ detail, names, table, facts, answers, opened }) => ({
    stoodOut: computed(() => {
      const questions = (table()?.questions ?? []).map(({ askingId, name, againOf }) => ({
        name,
        againOf,
        facts: facts().get(askingId)!,
      }));
      return stoodOut({ questions, answers: answers() });
    }),
    /** The answers that have something in common, as they are listed. */
    shown: computed(() => {
      const at = opened();
      if (at?.kind !== 'answers') return null;
      const questionNames = new Map((table()?.questions ?? []).map(({ askingId, name }) => [askingId, name]));
      const lessonTitle = detail()!.lesson.title;
      const inLesson = (one: InsightAnswer): AnswerInLesson => ({
        ...one,
        pupilName: names().get(one.pupilId) ?? '',
        lessonTitle,
        question: questionNames.get(one.askingId) ?? '',
      });
      return { title: at.title, answers: at.answers.map(inLesson) };
    }),
    question: computed(() => {
      const at = opened();
      return at?.kind === 'question' ? (table()?.questions.find(({ askingId }) => askingId === at.askingId) ?? null) : null;
    }),
  })),
  withMethods((store) => ({
    async load(sessionId: string): Promise<void> {
      patchState(store, { detail: null, versions: [], problem: null, opened: null, word: null });
      await store.attempt(async () => {
        const [detail, { sheet }] = await Promise.all([
          ask<SessionDetail>('GET', `/api/sessions/${sessionId}`),
          ask<SheetOfSession>('GET', `/api/sessions/${sessionId}/sheet`),
        ]);
        patchState(store, { detail, versions: sheet?.versions ?? [] });
      });
    },
    open: (opened: Opened | null) => patchState(store, { opened, word: null }),
  })),
  withMethods((store) => {
    const path = () => `/api/sessions/${store.detail()!.id}`;
    const put = (changed: MarkedResponse) => {
      const detail = store.detail()!;
      const responses = detail.live.responses.map((one) => (one.id === changed.id ? changed : one));
      patchState(store, { detail: { ...detail, live: { ...detail.live, responses } } });
    };
    return {
      /** Lets a late answer count, or not. */
      count: (responseId: string, counted: boolean) =>
        store.attempt(async () => {
          await ask('POST', `${path()}/responses/${responseId}/count`, { counted });
          const detail = store.detail()!;
          const responses = detail.live.responses.map((one) => withCounted(one, { responseId, counted }));
          patchState(store, { detail: { ...detail, live: { ...detail.live, responses } } });
        }),

      /** Puts another mark beside the one that was given, with a reason. */
      correct: (responseId: string, verdict: MarkCorrect['verdict'], reason: string) =>
        store.attempt(async () => {
          put(await ask<MarkedResponse>('POST', `${path()}/responses/${responseId}/correct`, { id: uuid(), verdict, reason }));
          patchState(store, { word: 'Corrected. Everything that is computed follows.' });
        }),

      asAtFirst: (responseId: string) =>
        store.attempt(async () => {
          put(await ask<MarkedResponse>('POST', `${path()}/responses/${responseId}/as-at-first`));
          patchState(store, { word: 'Taken back: it is marked as at first.' });
        }),

      /** Lets a wording count for the whole class, in all its lessons. */
      accept: (responseId: string, wording: string) =>
        store.attempt(async () => {
          const detail = store.detail()!;
          const { wordings } = await ask<ReviewNotes>('POST', `/api/classes/${detail.classId}/wordings`, {
            id: uuid(),
            responseId,
            wording,
          });
          const count = wordings.find((one) => one.wording === wording)?.answers ?? 0;
          patchState(store, {
            detail: await ask<SessionDetail>('GET', path()),
            word: `“${wording}” counts in ${detail.className} now: ${count} ${count === 1 ? 'answer is' : 'answers are'} right by it. It can be taken back under “Who holds what”.`,
          });
        }),

      comment: (pupilId: string, responseId: string, text: string) =>
        store.attempt(async () => {
          await ask('POST', `/api/classes/${store.detail()!.classId}/pupils/${pupilId}/comments`, { id: uuid(), responseId, text });
          patchState(store, { word: 'The remark is kept with the pupil.' });
        }),
    };
  }),
);
