import { CoreError, prepareLesson, type Lesson } from '@zeitpunkt/core';
import { BeatKeep, BeatKept, LessonDetail, LessonList } from '@zeitpunkt/contract';
import type { FastifyPluginAsyncTypebox } from '@fastify/type-provider-typebox';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import type { RequireTeacher } from '../auth/guard.js';
import { readLesson } from './read-lesson.js';
import { insertVersion, lessonsOf, ownLesson } from './queries.js';

export interface LessonsOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });

/** A teacher's lessons. */
export const lessonsPlugin: FastifyPluginAsyncTypebox<LessonsOptions> = async (app, options) => {
  const { db } = options.store;

  app.get('/api/lessons', { schema: { response: { 200: LessonList } } }, (request) =>
    lessonsOf(db, options.requireTeacher(request).id).map((row) => summary(row.id, row.version, JSON.parse(row.file) as Lesson)),
  );

  app.get('/api/lessons/:id', { schema: { params: Params, response: { 200: LessonDetail } } }, (request) => {
    const row = ownLesson(db, options.requireTeacher(request).id, request.params.id);
    if (!row) throw new CoreError('NOT_FOUND', 'There is no such lesson among yours.');
    return { id: row.id, version: row.version, lesson: JSON.parse(row.file) as LessonDetail['lesson'] };
  });

  // The version that the beat is added to makes this safe to repeat: what was added already is not added again.
  app.post('/api/lessons/:id/beats', { schema: { params: Params, body: BeatKeep, response: { 200: BeatKept } } }, (request) => {
    const row = ownLesson(db, options.requireTeacher(request).id, request.params.id);
    if (!row) throw new CoreError('NOT_FOUND', 'There is no such lesson among yours.');
    const { version, build, text } = request.body;
    const lesson = JSON.parse(row.file) as Lesson;
    const beat = { kind: 'show', build, text } as const;
    if (row.version === version + 1 && JSON.stringify(lesson.beats.at(-1)) === JSON.stringify(beat)) {
      return { version: row.version, beatCount: lesson.beats.length };
    }
    if (row.version !== version)
      throw new CoreError('LESSON_CHANGED', 'This lesson was changed meanwhile. Load the page again and keep the dial once more.');
    const file = readLesson({ ...lesson, beats: [...lesson.beats, beat] });
    options.store.sqlite.transaction(() =>
      insertVersion(db, { lessonId: row.id, version: version + 1, file, createdAtMs: options.nowMs() }),
    )();
    return { version: version + 1, beatCount: file.beats.length };
  });
};

function summary(id: string, version: number, lesson: Lesson) {
  return {
    id,
    version,
    title: lesson.title,
    goal: lesson.goal,
    targetMinutes: lesson.targetMinutes,
    plannedSec: Math.round(prepareLesson(lesson).totalMs / 1000),
    beatCount: lesson.beats.length,
    questionCount: lesson.items.length,
  };
}
