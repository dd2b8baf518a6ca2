import { computed } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { DraftWish, LessonDetail, LessonSummary, SessionSummary } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { ask } from '../api';
import { readJsonFile } from '../json-file';
import { withProblem } from '../with-problem';
import { catalogue } from '../words/catalogue';

interface LessonShelfState {
  readonly loading: boolean;
  /** Whether the lists have come, now or before. */
  readonly hasCome: boolean;
  /** A lesson is being drafted, or its file taken in. */
  readonly adding: boolean;
  /** The lesson that was just added so. */
  readonly added: string | null;
  /** A room is being opened; a second press opens no second one. */
  readonly opening: boolean;
  readonly lessons: readonly LessonSummary[];
  readonly sessions: readonly SessionSummary[];
}

/** A teacher's lessons and what was taught of them, with what can be done to a lesson from a list. */
export const LessonShelf = signalStore(
  withState<LessonShelfState>({
    loading: true,
    hasCome: false,
    adding: false,
    added: null,
    opening: false,
    lessons: [],
    sessions: [],
  }),
  withComputed(({ lessons, sessions }) => ({
    ready: computed(() => lessons().filter(({ archivedAtMs }) => archivedAtMs === null)),
    archived: computed(() => lessons().filter(({ archivedAtMs }) => archivedAtMs !== null)),
    running: computed(() => sessions().filter(({ phase }) => phase !== 'ended')),
    byId: computed(() => new Map(lessons().map((one) => [one.id, one]))),
  })),
  withProblem(),
  withMethods((store) => {
    let asked = 0;
    let shown = 0;
    /** The list as it is now. A list that was asked for earlier and comes later shows nothing: a lesson just added would be gone again. */
    const _fetchLessons = async (): Promise<void> => {
      const turn = (asked += 1);
      const lessons = await ask<LessonSummary[]>('GET', '/api/lessons');
      if (turn < shown) return;
      shown = turn;
      patchState(store, { lessons });
    };
    /** Adds a lesson; resolves with its id, or with null and the reason in `problem`. */
    const _addLesson = async (path: string, body: object): Promise<string | null> => {
      const id = uuid();
      patchState(store, { adding: true, problem: null });
      const isAdded = await store.attempt(async () => {
        await ask('POST', path, { id, ...body });
        await _fetchLessons();
        patchState(store, { added: id });
      });
      patchState(store, { adding: false });
      return isAdded ? id : null;
    };
    const _withLesson = (lessonId: string, work: (lesson: Lesson) => Promise<unknown>) =>
      store.attempt(async () => void (await work((await ask<LessonDetail>('GET', `/api/lessons/${lessonId}`)).lesson)));
    const _openRoom = async (path: string, start: object): Promise<string | null> => {
      const id = uuid(); // not crypto.randomUUID: a school's server on its own network often has no https
      patchState(store, { opening: true, problem: null });
      const isOpen = await store.attempt(async () => void (await ask('POST', path, { id, ...start })));
      patchState(store, { opening: false });
      return isOpen ? id : null;
    };
    return { _fetchLessons, _addLesson, _withLesson, _openRoom };
  }),
  withMethods((store) => ({
    async load(): Promise<void> {
      patchState(store, { loading: true, problem: null });
      await store.attempt(async () => {
        const [sessions] = await Promise.all([ask<SessionSummary[]>('GET', '/api/sessions'), store._fetchLessons()]);
        patchState(store, { sessions, hasCome: true });
      });
      patchState(store, { loading: false });
    },

    /** Lessons that were drafted elsewhere on this page, for a series, are there now. */
    refresh: () => store.attempt(store._fetchLessons),

    /** Puts a lesson away, or back among those ready to teach; what was taught of it stays. Resolves with whether it went well. */
    archive: ({ id }: LessonSummary, away: boolean): Promise<boolean> =>
      store.attempt(async () => {
        await ask('POST', `/api/lessons/${id}/${away ? 'archive' : 'restore'}`);
        const archivedAtMs = away ? Date.now() : null;
        patchState(store, ({ lessons }) => ({
          lessons: lessons.map((one) => (one.id === id ? { ...one, archivedAtMs } : one)),
          problem: null,
        }));
      }),

    /** A lesson once more, under a title that tells it apart. */
    duplicate: (lessonId: string) =>
      store._withLesson(lessonId, (lesson) =>
        store._addLesson('/api/lessons/files', { file: { ...lesson, title: SHELF_WORDS().copy(lesson.title.slice(0, LONGEST_TITLE)) } }),
      ),

    /** The lesson as its file. */
    file: (lessonId: string, take: (lesson: Lesson) => void) => store._withLesson(lessonId, async (lesson) => take(lesson)),

    /** Drafts a lesson. */
    draft: (wish: Omit<DraftWish, 'id'>) => store._addLesson('/api/lessons', wish),

    /** Takes a lesson file in; resolves with the id of the lesson, or null with the reason in `problem`. */
    async takeFile(file: File): Promise<string | null> {
      const read = await readJsonFile(file, 'lesson', LARGEST_FILE_MB * 1024 * 1024);
      if ('problem' in read) {
        patchState(store, { problem: read.problem });
        return null;
      }
      return store._addLesson('/api/lessons/files', { file: read.data });
    },

    /** Opens a room for a lesson with a class; resolves with its id, or null with the reason in `problem`. */
    start: (lessonId: string, classId: string) => store._openRoom('/api/sessions', { lessonId, classId }),

    /** The same with simulated pupils. */
    rehearse: (lessonId: string) => store._openRoom('/api/rehearsals', { lessonId }),
  })),
);

/** What the server takes of a lesson file. */
const LARGEST_FILE_MB = 4;
/** So much of a title stays that the word for a copy has room beside it. */
const LONGEST_TITLE = 180;
const SHELF_WORDS = catalogue({ en: { copy: (title: string) => `${title} (copy)` } });
