import { CommentAdd, GroupMove, HomePageEdit, ReviewNotes } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import { reallyDelete } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import { mustOwnPupil } from '../classes/gives.js';
import type { ReviewRoutesOptions } from './options.js';

const Params = Type.Object({ id: Type.String() });
const OfPupil = Type.Object({ id: Type.String(), pupilId: Type.String() });
const NOTHING = { 204: Type.Null() };

/** What a teacher writes about a pupil: remarks, the group of the next lesson, the page for home. */
export const noteRoutes: Feature<ReviewRoutesOptions> = async (app, { store, rooms, requireTeacher, nowMs, review }) => {
  const { db } = store;

  app.post(
    '/api/classes/:id/pupils/:pupilId/comments',
    { schema: { params: OfPupil, body: CommentAdd, response: { 200: ReviewNotes } } },
    (request) => {
      const { pupilId } = request.params;
      const { schoolClass } = mustOwnPupil(db, requireTeacher(request).id, { id: request.params.id, pupilId });
      const { responseId } = request.body;
      if (responseId !== null && rooms.queries.response(responseId)?.pupilId !== pupilId) {
        throw new CoreError('NOT_FOUND', 'This pupil has given no such answer.');
      }
      review.insertComment({ ...request.body, pupilId, atMs: nowMs() });
      return review.notes(schoolClass.id);
    },
  );

  app.post(
    '/api/classes/:id/pupils/:pupilId/comments/:commentId/delete',
    {
      schema: {
        params: Type.Object({ id: Type.String(), pupilId: Type.String(), commentId: Type.String() }),
        response: { 200: ReviewNotes },
      },
    },
    (request) => {
      const { pupilId, commentId } = request.params;
      const { schoolClass } = mustOwnPupil(db, requireTeacher(request).id, request.params);
      reallyDelete(store, () => review.deleteComment(commentId, pupilId));
      return review.notes(schoolClass.id);
    },
  );

  app.post('/api/classes/:id/moves', { schema: { params: Params, body: GroupMove, response: NOTHING } }, (request, reply) => {
    const { pupilId, key } = request.body;
    const { schoolClass } = mustOwnPupil(db, requireTeacher(request).id, { id: request.params.id, pupilId });
    if (key === null) review.moveBack(schoolClass.id, pupilId);
    else review.move({ classId: schoolClass.id, pupilId, key, atMs: nowMs() });
    void reply.code(204);
    return null;
  });

  app.post('/api/classes/:id/home/:pupilId', { schema: { params: OfPupil, body: HomePageEdit, response: NOTHING } }, (request, reply) => {
    const { pupilId } = request.params;
    mustOwnPupil(db, requireTeacher(request).id, request.params);
    review.keepHomePage({ pupilId, ...request.body, atMs: nowMs() });
    void reply.code(204);
    return null;
  });

  app.post('/api/classes/:id/home/:pupilId/anew', { schema: { params: OfPupil, response: NOTHING } }, (request, reply) => {
    const { pupilId } = request.params;
    mustOwnPupil(db, requireTeacher(request).id, request.params);
    review.dropHomePage(pupilId);
    void reply.code(204);
    return null;
  });
};
