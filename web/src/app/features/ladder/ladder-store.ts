import { computed } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type {
  ClassMastery,
  ClassSummary,
  DraftWish,
  LessonDetail,
  LessonSummary,
  SessionDetail,
  SessionSummary,
} from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { isRightVerdict, type Lesson } from '@zeitpunkt/core';
import { ask, sentenceOf } from '../../shared/api';
import { readJsonFile } from '../../shared/json-file';

interface LadderState {
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
  /** Share of the answers to the lesson that a class was given last that were right, by class; null where nobody answered. */
  readonly rightShares: Readonly<Record<string, number | null>>;
  /** How far a class has come on each rung, by class. */
  readonly mastery: Readonly<Record<string, ClassMastery>>;
}

/** What the ladder shows: classes, lessons, and the runs of lessons. */
export const LadderStore = signalStore(
  withState<LadderState>({
    loading: true,
    adding: false,
    added: null,
    opening: false,
    problem: null,
    classes: [],
    lessons: [],
    sessions: [],
    putAway: null,
    rightShares: {},
    mastery: {},
  }),
  withComputed(({ lessons, added }) => ({
    // What was added last comes first.
    ready: computed(() => {
      const ready = lessons().filter(({ archivedAtMs }) => archivedAtMs === null);
      return [...ready.filter(({ id }) => id === added()), ...ready.filter(({ id }) => id !== added())];
    }),
    archived: computed(() => lessons().filter(({ archivedAtMs }) => archivedAtMs !== null)),
  })),
  withMethods((store) => {
    /** Adds a lesson; returns its id, or null with the reason in `problem`. */
    const addLesson = async (path: string, body: object): Promise<string | null> => {
      const id = uuid();
      patchState(store, { adding: true, problem: null });
      try {
        await ask('POST', path, { id, ...body });
        patchState(store, { lessons: await ask<LessonSummary[]>('GET', '/api/lessons'), added: id });
        return id;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
        return null;
      } finally {
        patchState(store, { adding: false });
      }
    };
    const withLesson = async (lessonId: string, work: (lesson: Lesson) => Promise<unknown>): Promise<void> => {
      try {
        await work((await ask<LessonDetail>('GET', `/api/lessons/${lessonId}`)).lesson);
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
      }
    };
    const openRoom = async (path: string, start: object): Promise<string | null> => {
      const id = uuid(); // not crypto.randomUUID: a school's server on its own network often has no https
      patchState(store, { opening: true, problem: null });
      try {
        await ask('POST', path, { id, ...start });
        return id;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
        return null;
      } finally {
        patchState(store, { opening: false });
      }
    };
    /** Adds a class without pupils; returns its id, or null with the reason in `problem`. */
    const addClass = async (): Promise<string | null> => {
      const id = uuid();
      try {
        await ask('POST', '/api/classes', { id, name: `Class ${store.classes().length + 1}` });
        return id;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
        return null;
      }
    };
    return {
      addClass,
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
      /** How far a class has come on each rung; it comes after all the rest, since every answer is looked at for it. */
      async lookAtMastery(classId: string): Promise<void> {
        try {
          const found = await ask<ClassMastery>('GET', `/api/classes/${classId}/mastery`);
          patchState(store, ({ mastery }) => ({ mastery: { ...mastery, [classId]: found } }));
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

      /** Lessons that were drafted elsewhere on this page, for a series, are there now. */
      async refresh(): Promise<void> {
        try {
          patchState(store, { lessons: await ask<LessonSummary[]>('GET', '/api/lessons') });
        } catch (error) {
          patchState(store, { problem: sentenceOf(error) });
        }
      },

      /** Looks how much of the lesson that a class was given last was answered right. */
      async lookAtLast(classId: string): Promise<void> {
        const last = store.sessions().find((session) => session.classId === classId && session.phase === 'ended');
        if (!last || last.responseCount === 0 || classId in store.rightShares()) return;
        try {
          const { live } = await ask<SessionDetail>('GET', `/api/sessions/${last.id}`);
          const right = live.responses.filter(({ mark }) => isRightVerdict(mark.verdict)).length;
          const share = live.responses.length > 0 ? right / live.responses.length : null;
          patchState(store, ({ rightShares }) => ({ rightShares: { ...rightShares, [classId]: share } }));
        } catch (error) {
          patchState(store, { problem: sentenceOf(error) });
        }
      },

      /** A lesson once more, under a title that tells it apart. */
      duplicate: (lessonId: string) =>
        withLesson(lessonId, (lesson) => addLesson('/api/lessons/files', { file: { ...lesson, title: copyTitle(lesson.title) } })),

      /** The lesson as its file. */
      file: (lessonId: string, take: (lesson: Lesson) => void) => withLesson(lessonId, async (lesson) => take(lesson)),

      /** Drafts a lesson and puts it first among those ready to teach. */
      draft: (wish: Omit<DraftWish, 'id'>) => addLesson('/api/lessons', wish),

      /** Takes a lesson file in, and puts it first among those ready to teach. */
      async takeFile(file: File): Promise<void> {
        const read = await readJsonFile(file, 'a lesson file', LARGEST_FILE_MB * 1024 * 1024);
        if ('problem' in read) return patchState(store, { problem: read.problem });
        await addLesson('/api/lessons/files', { file: read.data });
      },

      /** Opens a room for a lesson with a class; returns its id, or null with the reason in `problem`. */
      start: (lessonId: string, classId: string) => openRoom('/api/sessions', { lessonId, classId }),

      /** The same with simulated pupils. */
      rehearse: (lessonId: string) => openRoom('/api/rehearsals', { lessonId }),
    };
  }),
);

/** What the server takes of a lesson file. */
const LARGEST_FILE_MB = 4;
const LONGEST_TITLE = 200;
const copyTitle = (title: string) => `${title.slice(0, LONGEST_TITLE - 7)} (copy)`;
