import { ClassStanding, ReviewNotes } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { Readable } from 'node:stream';
import { listenTo } from '../../events.js';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { mustOwnClass } from '../classes/gives.js';
import { markRoutes } from './mark-routes.js';
import { Marks } from './marks.js';
import { noteRoutes } from './note-routes.js';
import type { ReviewOptions, ReviewRoutesOptions } from './options.js';
import { reviewQueries } from './queries.js';

const Params = Type.Object({ id: Type.String() });
nameFeatures({ markRoutes, noteRoutes });

/** What can be told from answers, and what teachers themselves make of them: corrections, wordings, remarks, groups, pages for home. */
export const reviewPlugin: Feature<ReviewOptions> = async (app, options) => {
  const { store, work, requireTeacher, nowMs } = options;
  const { db } = store;
  const review = reviewQueries(db);
  listenTo(options.events, { classChanged: ({ classId }) => work.tell('forgetLines', classId) });
  const marks = new Marks({ ...options, review });
  const shared: ReviewRoutesOptions = { ...options, review, marks };
  await app.register(markRoutes, shared);
  await app.register(noteRoutes, shared);

  app.get('/api/classes/:id/answers', { schema: { params: Params } }, (request, reply) => {
    const { id, name } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
    return reply.type('application/x-ndjson; charset=utf-8').send(Readable.from(work.flow('answers', { id, name })));
  });

  app.get('/api/classes/:id/standing', { schema: { params: Params, response: { 200: ClassStanding } } }, (request) => {
    const { id, name } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
    return work.json('standing', { id, name }, nowMs());
  });

  app.get('/api/classes/:id/notes', { schema: { params: Params, response: { 200: ReviewNotes } } }, (request) =>
    review.notes(mustOwnClass(db, requireTeacher(request).id, request.params.id).id),
  );
};
