import { computed, DestroyRef, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { MarkedResponse, OwnPaceChange, OwnPaceDetail, OwnPaceLive, OwnPaceMessage } from '@zeitpunkt/contract';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { LatestAttempts } from '@zeitpunkt/core/run/latest';
import { ownSteps } from '@zeitpunkt/core/run/own-pace';
import isOwnPaceMessage from '../../../generated/own-pace-message';
import { ask, sentenceOf } from '../../shared/api';
import { type Line, openLine } from '../../shared/line';

interface OwnPaceState {
  readonly detail: OwnPaceDetail | null;
  readonly lineOpen: boolean;
  readonly problem: string | null;
  readonly word: string | null;
}

/** The store of a lesson that was given out, as a type. */
export type OwnPaceStore = InstanceType<typeof OwnPaceStore>;

/** A lesson that was given out, as its teacher looks on. */
export const OwnPaceStore = signalStore(
  withState<OwnPaceState>({ detail: null, lineOpen: false, problem: null, word: null }),
  withComputed(({ detail }) => {
    const prepared = computed(() => {
      const lesson = detail()?.lesson;
      return lesson ? prepareLesson(lesson) : null;
    });
    const steps = computed(() => {
      const lesson = prepared();
      return lesson ? ownSteps(lesson) : [];
    });
    /** The questions in the order in which they are asked. */
    const questions = computed(() => {
      const lesson = prepared();
      if (!lesson) return [];
      const ids = lesson.steps.flatMap(({ beat }) => (beat.kind === 'ask' && !lesson.aloud.has(beat.itemId) ? [beat.itemId] : []));
      return [...new Set(ids)].map((id, index) => {
        const item = lesson.context.itemOf(id);
        return { id, number: index + 1, item, view: kindOf(item).viewOf(item, lesson.lesson.settings) };
      });
    });
    const rows = computed(() => {
      const live = detail()?.live;
      const latest = new LatestAttempts<MarkedResponse>(live?.responses ?? []);
      return (live?.places ?? []).map((place) => ({
        ...place,
        step: place.at === null ? null : (steps()[place.at] ?? null),
        answers: questions().map((question) => ({ question, given: latest.of(place.pupilId, question.id) ?? null })),
      }));
    });
    return { prepared, steps, questions, rows };
  }),
  withMethods((store) => {
    let line: Line | null = null;
    const withLive = (change: (live: OwnPaceLive) => Partial<OwnPaceLive>) =>
      patchState(store, ({ detail }) => ({ detail: detail && { ...detail, live: { ...detail.live, ...change(detail.live) } } }));

    const receive = (message: OwnPaceMessage) => {
      switch (message.type) {
        case 'own':
          return withLive(() => message.live);
        case 'place':
          return withLive(({ places }) => ({
            places: places.map((one) => (one.pupilId === message.place.pupilId ? message.place : one)),
          }));
        case 'answer':
          return withLive(({ responses }) => ({ responses: [...responses, message.response] }));
        case 'problem':
          return patchState(store, { problem: message.detail });
      }
    };
    const attempt = async (work: () => Promise<void>): Promise<void> => {
      try {
        await work();
        patchState(store, { problem: null });
      } catch (error) {
        patchState(store, { problem: sentenceOf(error), word: null });
      }
    };
    const url = (rest: string) => `/api/own-pace/${store.detail()?.id}${rest}`;
    const take = (rest: string, body: unknown, word: string) =>
      attempt(async () => patchState(store, { detail: await ask<OwnPaceDetail>('POST', url(rest), body), word }));

    return {
      load: (id: string) =>
        attempt(async () => {
          line?.close();
          const detail = await ask<OwnPaceDetail>('GET', `/api/own-pace/${id}`);
          patchState(store, { detail, word: null });
          if (detail.live.endedAtMs !== null) return;
          line = openLine<OwnPaceMessage>(`/ws/own-pace/${id}`, isOwnPaceMessage, {
            message: receive,
            open: (lineOpen) => patchState(store, { lineOpen }),
            outdated: () => patchState(store, { problem: 'A new version is here; please load the page again.' }),
          });
        }),
      change: (change: OwnPaceChange) => take('/change', change, 'Kept.'),
      write: (pupilId: string | null, text: string) =>
        take('/line', { pupilId, line: text }, text === '' ? 'The line is taken away.' : 'They see it at once, and when they come in.'),
      /** Gives a pupil's place up where it is, so that another device can have it. */
      free: (pupilId: string, name: string) =>
        take(`/places/${pupilId}/free`, undefined, `${name} can come in on another device now, by the six pictures.`),
      end: () => take('/end', undefined, 'It is over: nobody can go on with it.'),
      stop: () => line?.close(),
    };
  }),
  withHooks({
    onInit(store) {
      inject(DestroyRef).onDestroy(() => store.stop());
    },
  }),
);
