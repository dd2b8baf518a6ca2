import { CoreError, prepareLesson, type Lesson } from '@zeitpunkt/core';
import { LessonDetail, LessonList } from '@zeitpunkt/contract';
import type { FastifyPluginAsyncTypebox } from '@fastify/type-provider-typebox';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import type { RequireTeacher } from '../auth/guard.js';
import { lessonsOf, ownLesson } from './queries.js';

/** A teacher's lessons. */
export const lessonsPlugin: FastifyPluginAsyncTypebox<{ store: Store; requireTeacher: RequireTeacher }> = async (app, options) => {
  const { db } = options.store;

  app.get('/api/lessons', { schema: { response: { 200: LessonList } } }, (request) =>
    lessonsOf(db, options.requireTeacher(request).id).map((row) => summary(row.id, JSON.parse(row.file) as Lesson)),
  );

  app.get('/api/lessons/:id', { schema: { params: Type.Object({ id: Type.String() }), response: { 200: LessonDetail } } }, (request) => {
    const row = ownLesson(db, options.requireTeacher(request).id, request.params.id);
    if (!row) throw new CoreError('NOT_FOUND', 'There is no such lesson among yours.');
    return { id: row.id, version: row.version, lesson: JSON.parse(row.file) as LessonDetail['lesson'] };
  });
};

function summary(id: string, lesson: Lesson) {
  return {
    id,
    title: lesson.title,
    goal: lesson.goal,
    targetMinutes: lesson.targetMinutes,
    plannedSec: Math.round(prepareLesson(lesson).totalMs / 1000),
    beatCount: lesson.beats.length,
    questionCount: lesson.items.length,
  };
}
