import type { Beat } from '@zeitpunkt/core/beats/registry';
import { changeBeat } from '@zeitpunkt/core/edit/edit';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { sameJson } from '@zeitpunkt/core/same-json';
import {
  BeatKeep,
  BeatKept,
  Clip,
  ClipIn,
  DraftWish,
  LessonAdded,
  LessonDetail,
  LessonFileIn,
  LessonList,
  LessonSave,
  LessonSaved,
  NoteKeep,
} from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { randomInt } from 'node:crypto';
import type { Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { type Events, listenTo } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import type { Limits } from '../../http/limits.js';
import type { Work } from '../../work/work.js';
import type { RequireTeacher } from '../auth/gives.js';
import { mustOwnClass } from '../classes/gives.js';
import { insertWritten, lessonById, nextPlace, ownLesson, saveDraft, setArchived, writtenOut, type WrittenLesson } from './queries.js';
import { installStarterLessons } from './starter.js';

export interface LessonsOptions {
  readonly store: Store;
  readonly events: Events;
  readonly work: Work;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
  readonly limits: Limits;
}

const COPIED = 'Copied beats';
/** What copied beats stand in while they are read. */
const CLIP_LESSON = {
  format: 'zeitpunkt-lesson',
  title: COPIED,
  goal: COPIED,
  successCriteria: [],
  targetMinutes: 1,
  settings: DEFAULT_SETTINGS,
};

const Params = Type.Object({ id: Type.String() });
type Row = NonNullable<ReturnType<typeof ownLesson>>;

/** A teacher's lessons: listed, edited as drafts, put away. */
export const lessonsPlugin: Feature<LessonsOptions> = async (app, { store, events, work, requireTeacher, nowMs, limits }) => {
  const { db } = store;
  listenTo(events, { teacherAdded: ({ teacherId }) => installStarterLessons(db, teacherId) });
  const mustOwn = (teacherId: string, lessonId: string): Row => {
    const row = ownLesson(db, teacherId, lessonId);
    if (!row) throw new CoreError('NOT_FOUND', 'There is no such lesson among yours.');
    return row;
  };

  app.get('/api/lessons', { schema: { response: { 200: LessonList } } }, (request) => work.json('lessonList', requireTeacher(request).id));

  app.get('/api/lessons/:id', { schema: { params: Params, response: { 200: LessonDetail } } }, (request) => {
    const { id, revision, draft, title } = mustOwn(requireTeacher(request).id, request.params.id);
    return { id, revision, lesson: stored.lesson(draft, title) };
  });

  /** Adds a lesson at the end of a teacher's list under an id made by whoever asks; there already, it is left as it is. */
  const add = async (teacherId: string, id: string, make: () => WrittenLesson | Promise<WrittenLesson>): Promise<LessonAdded> => {
    const isKnown = () => {
      const known = lessonById(db, id);
      if (known && known.teacherId !== teacherId)
        throw new CoreError('LESSON_CHANGED', 'This lesson id is in use already; please try again.');
      return known !== undefined;
    };
    if (!isKnown()) {
      const written = await make();
      // The same wish may have come again meanwhile.
      if (!isKnown()) insertWritten(db, { id, teacherId, ...written, place: nextPlace(db, teacherId) });
    }
    return { id, revision: mustOwn(teacherId, id).revision };
  };

  app.post(
    '/api/lessons/files',
    { schema: { body: LessonFileIn, response: { 200: LessonAdded } }, bodyLimit: limits.lessonBodyBytes },
    (request) => add(requireTeacher(request).id, request.body.id, () => writtenOut(stored.lesson(request.body.file))),
  );

  // Beats that were copied somewhere, of whatever version: read as the lesson that they would be by themselves.
  app.post('/api/clips', { schema: { body: ClipIn, response: { 200: Clip } }, bodyLimit: limits.lessonBodyBytes }, (request) => {
    requireTeacher(request);
    const { format, formatVersion, beats, items } = request.body.clip as Record<string, unknown>;
    if (format !== 'zeitpunkt-beats') throw new CoreError('LESSON_UNREADABLE', 'What was copied are no beats of a lesson.');
    const wrapped = { ...CLIP_LESSON, formatVersion, beats, items };
    const { beats: pasted, items: asked } = stored.lesson(wrapped, COPIED);
    return { beats: pasted, items: asked };
  });

  // The id makes it safe to repeat.
  app.post('/api/lessons', { schema: { body: DraftWish, response: { 200: LessonAdded } } }, (request) => {
    const { id, classId } = request.body;
    const teacher = requireTeacher(request);
    if (classId !== undefined) mustOwnClass(db, teacher.id, classId);
    return add(teacher.id, id, () => work.ask('draft', teacher.id, request.body, randomInt(2 ** 31)));
  });

  app.post(
    '/api/lessons/:id/draft',
    { schema: { params: Params, body: LessonSave, response: { 200: LessonSaved } }, bodyLimit: limits.lessonBodyBytes },
    (request) => {
      const row = mustOwn(requireTeacher(request).id, request.params.id);
      const { revision, lesson } = request.body;
      // Sent again after its answer was lost: it is there already.
      if (row.revision === revision + 1 && sameJson(stored.lesson(row.draft, row.title), lesson)) return { revision: row.revision };
      if (row.revision !== revision) {
        const { title } = row;
        throw new CoreError('LESSON_CHANGED', `“${title}” was changed meanwhile, from another window. Nothing was overwritten.`, { title });
      }
      saveDraft(db, row.id, revision + 1, stored.lesson(lesson, row.title));
      return { revision: revision + 1 };
    },
  );

  // The beat's id makes this safe to repeat: what was added already is not added again.
  app.post('/api/lessons/:id/beats', { schema: { params: Params, body: BeatKeep, response: { 200: BeatKept } } }, (request) => {
    const row = mustOwn(requireTeacher(request).id, request.params.id);
    const { beatId, build, text } = request.body;
    const lesson = stored.lesson(row.draft, row.title);
    const beat: Beat = { id: beatId, kind: 'show', build, text };
    const known = lesson.beats.find(({ id }) => id === beatId);
    if (known && !sameJson(known, beat)) {
      throw new CoreError('LESSON_BEAT_TWICE', `Another beat of “${row.title}” carries the id “${beatId}”.`, { title: row.title, beatId });
    }
    if (known) return { revision: row.revision, beatCount: lesson.beats.length };
    const longer: Lesson = { ...lesson, beats: [...lesson.beats, beat] };
    saveDraft(db, row.id, row.revision + 1, stored.lesson(longer, row.title));
    return { revision: row.revision + 1, beatCount: longer.beats.length };
  });

  // A note that is made while the lesson is taught goes into the lesson as it goes on being edited. Safe to repeat.
  app.post('/api/lessons/:id/notes', { schema: { params: Params, body: NoteKeep, response: { 200: LessonSaved } } }, (request) => {
    const row = mustOwn(requireTeacher(request).id, request.params.id);
    const { beatId, note } = request.body;
    const lesson = stored.lesson(row.draft, row.title);
    const beat = lesson.beats.find(({ id }) => id === beatId);
    if (!beat)
      throw new CoreError('NOT_FOUND', `“${row.title}” does not have this beat any more; the note cannot be kept with it.`, {
        title: row.title,
      });
    const kept = note.trim() || undefined;
    if (beat.note === kept) return { revision: row.revision };
    saveDraft(db, row.id, row.revision + 1, changeBeat(beatId, { note: kept })(lesson));
    return { revision: row.revision + 1 };
  });

  for (const [verb, archivedAtMs] of [
    ['archive', () => nowMs()],
    ['restore', () => null],
  ] as const) {
    app.post(`/api/lessons/:id/${verb}`, { schema: { params: Params, response: { 204: Type.Null() } } }, (request, reply) => {
      setArchived(db, mustOwn(requireTeacher(request).id, request.params.id).id, archivedAtMs());
      void reply.code(204);
      return null;
    });
  }
};
