import { computed } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { ClassSummary, DraftWish, LessonSummary, SessionSummary } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { rungAfter, type RungId } from '@zeitpunkt/core';
import { ask, sentenceOf } from '../../shared/api';

interface LessonsState {
  readonly loading: boolean;
  /** A lesson is being drafted, or its file taken in. */
  readonly adding: boolean;
  /** The lesson that was just added so. */
  readonly added: string | null;
  /** A room is being opened; a second press opens no second one. */
  readonly opening: boolean;
  readonly problem: string | null;
  readonly classes: readonly ClassSummary[];
  readonly lessons: readonly LessonSummary[];
  readonly sessions: readonly SessionSummary[];
  /** The lesson that was just put away, to be brought back at once. */
  readonly putAway: LessonSummary | null;
}

/** What the lessons place shows: classes, lessons, and the runs of lessons. */
export const LessonsStore = signalStore(
  withState<LessonsState>({
    loading: true,
    adding: false,
    added: null,
    opening: false,
    problem: null,
    classes: [],
    lessons: [],
    sessions: [],
    putAway: null,
  }),
  withComputed(({ lessons, added, sessions }) => ({
    // What was added last comes first.
    ready: computed(() => {
      const ready = lessons().filter(({ archivedAtMs }) => archivedAtMs === null);
      return [...ready.filter(({ id }) => id === added()), ...ready.filter(({ id }) => id !== added())];
    }),
    /** The rung after that of the lesson that was taught last; the first one where none was. */
    suggested: computed<RungId>(() => {
      const [last] = sessions().filter(({ phase }) => phase === 'ended');
      const rung = lessons().find(({ id }) => id === last?.lessonId)?.facts?.rung;
      return rung ? (rungAfter(rung) ?? rung) : 'whole-hours';
    }),
    archived: computed(() => lessons().filter(({ archivedAtMs }) => archivedAtMs !== null)),
  })),
  withMethods((store) => {
    const addLesson = async (path: string, body: object): Promise<void> => {
      const id = uuid();
      patchState(store, { adding: true, problem: null });
      try {
        await ask('POST', path, { id, ...body });
        patchState(store, { lessons: await ask<LessonSummary[]>('GET', '/api/lessons'), added: id });
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
      } finally {
        patchState(store, { adding: false });
      }
    };
    return {
      /** Puts a lesson away, or back among those ready to teach; what was taught of it stays. */
      async archive(lesson: LessonSummary, away: boolean): Promise<void> {
        patchState(store, { problem: null });
        try {
          await ask('POST', `/api/lessons/${lesson.id}/${away ? 'archive' : 'restore'}`);
          const archivedAtMs = away ? Date.now() : null;
          patchState(store, ({ lessons }) => ({
            lessons: lessons.map((one) => (one.id === lesson.id ? { ...one, archivedAtMs } : one)),
            putAway: away ? lesson : null,
          }));
        } catch (error) {
          patchState(store, { problem: sentenceOf(error) });
        }
      },
      async load(): Promise<void> {
        patchState(store, { loading: true, problem: null });
        try {
          const [classes, lessons, sessions] = await Promise.all([
            ask<ClassSummary[]>('GET', '/api/classes'),
            ask<LessonSummary[]>('GET', '/api/lessons'),
            ask<SessionSummary[]>('GET', '/api/sessions'),
          ]);
          patchState(store, { classes, lessons, sessions, loading: false });
        } catch (error) {
          patchState(store, { problem: sentenceOf(error), loading: false });
        }
      },

      /** Drafts a lesson and puts it first among those ready to teach. */
      draft: (wish: Omit<DraftWish, 'id'>) => addLesson('/api/lessons', wish),

      /** Takes a lesson file in, and puts it first among those ready to teach. */
      async takeFile(file: File): Promise<void> {
        let read: unknown;
        try {
          read = JSON.parse(await file.text());
        } catch {
          return patchState(store, { problem: `“${file.name}” is no lesson file: it is not readable JSON.` });
        }
        await addLesson('/api/lessons/files', { file: read });
      },

      /** Opens a room for a lesson; returns its id, or null with the reason in `problem`. */
      async start(lessonId: string, classId: string): Promise<string | null> {
        const id = uuid(); // not crypto.randomUUID: a school's server on its own network often has no https
        patchState(store, { opening: true, problem: null });
        try {
          await ask('POST', '/api/sessions', { id, lessonId, classId });
          return id;
        } catch (error) {
          patchState(store, { problem: sentenceOf(error) });
          return null;
        } finally {
          patchState(store, { opening: false });
        }
      },
    };
  }),
);
