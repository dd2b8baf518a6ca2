import { BeatKeep, BeatKept, LessonSave, LessonSaved, NoteKeep } from '@zeitpunkt/contract';
import type { Beat } from '@zeitpunkt/core/beats/registry';
import { changeBeat } from '@zeitpunkt/core/edit/edit';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { sameJson } from '@zeitpunkt/core/same-json';
import { Type } from '@sinclair/typebox';
import { stored } from '../../db/stored.js';
import type { Feature } from '../../http/feature.js';
import type { LessonsOptions } from './options.js';
import { mustOwnLesson, saveDraft } from './queries.js';

const Params = Type.Object({ id: Type.String() });

/** A lesson as it goes on being edited: saved by itself, a dial kept in it, a note from the console. Each is safe to repeat. */
export const editRoutes: Feature<LessonsOptions> = async (app, { store, requireTeacher, limits }) => {
  const { db } = store;

  app.post(
    '/api/lessons/:id/draft',
    { schema: { params: Params, body: LessonSave, response: { 200: LessonSaved } }, bodyLimit: limits.lessonBodyBytes },
    (request) => {
      const row = mustOwnLesson(db, requireTeacher(request).id, request.params.id);
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
    const row = mustOwnLesson(db, requireTeacher(request).id, request.params.id);
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
    const row = mustOwnLesson(db, requireTeacher(request).id, request.params.id);
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
};
