import { LessonDetail, LessonList } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { stored } from '../../db/stored.js';
import { listenTo } from '../../events.js';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { comingLessonRoutes } from './coming-lesson-routes.js';
import { editRoutes } from './edit-routes.js';
import type { LessonsOptions } from './options.js';
import { mustOwnLesson, setArchived } from './queries.js';
import { installStarterLessons } from './starter.js';

const Params = Type.Object({ id: Type.String() });
nameFeatures({ comingLessonRoutes, editRoutes });

/** A teacher's lessons: listed, opened, put away; how they come and how they are edited in routes of their own. */
export const lessonsPlugin: Feature<LessonsOptions> = async (app, options) => {
  const { store, events, work, requireTeacher, nowMs } = options;
  const { db } = store;
  listenTo(events, { teacherAdded: ({ teacherId }) => installStarterLessons(db, teacherId) });
  await app.register(comingLessonRoutes, options);
  await app.register(editRoutes, options);

  app.get('/api/lessons', { schema: { response: { 200: LessonList } } }, (request) => work.json('lessonList', requireTeacher(request).id));

  app.get('/api/lessons/:id', { schema: { params: Params, response: { 200: LessonDetail } } }, (request) => {
    const { id, revision, draft, title } = mustOwnLesson(db, requireTeacher(request).id, request.params.id);
    return { id, revision, lesson: stored.lesson(draft, title) };
  });

  for (const [verb, archivedAtMs] of [
    ['archive', () => nowMs()],
    ['restore', () => null],
  ] as const) {
    app.post(`/api/lessons/:id/${verb}`, { schema: { params: Params, response: { 204: Type.Null() } } }, (request, reply) => {
      setArchived(db, mustOwnLesson(db, requireTeacher(request).id, request.params.id).id, archivedAtMs());
      void reply.code(204);
      return null;
    });
  }
};
