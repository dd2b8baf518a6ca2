import { CoreError } from '@zeitpunkt/core/errors';
import {
  ClassStanding,
  CommentAdd,
  GroupMove,
  HomePageEdit,
  MarkCorrect,
  MarkedResponse,
  ReviewNotes,
  WordingAccept,
} from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { Readable } from 'node:stream';
import { reallyDelete, type Store } from '../../db/connection.js';
import { type Events, listenTo } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import type { Work } from '../../work/work.js';
import type { RequireTeacher } from '../auth/gives.js';
import { findPupil, mustOwnClass } from '../classes/gives.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';
import { Marks } from './marks.js';
import { reviewQueries } from './queries.js';

export interface ReviewOptions {
  readonly store: Store;
  readonly rooms: RoomDirectory;
  readonly work: Work;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
  readonly events: Events;
}

const Params = Type.Object({ id: Type.String() });
const OfPupil = Type.Object({ id: Type.String(), pupilId: Type.String() });
const OfResponse = Type.Object({ id: Type.String(), responseId: Type.String() });
const NOTHING = { 204: Type.Null() };

/** What can be told from answers, and what teachers themselves make of them: corrections, wordings, remarks, groups, pages for home. */
export const reviewPlugin: Feature<ReviewOptions> = async (app, options) => {
  const { store, rooms, work, requireTeacher, nowMs } = options;
  const { db } = store;
  const review = reviewQueries(db);
  listenTo(options.events, { classChanged: ({ classId }) => work.tell('forgetLines', classId) });
  const marks = new Marks({ ...options, review });
  const mustOwnPupil = (teacherId: string, classId: string, pupilId: string) => {
    const { id } = mustOwnClass(db, teacherId, classId);
    if (findPupil(db, pupilId)?.classId !== id) throw new CoreError('PUPIL_UNKNOWN', 'This class has no such pupil.');
    return id;
  };

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

  app.post(
    '/api/sessions/:id/responses/:responseId/correct',
    { schema: { params: OfResponse, body: MarkCorrect, response: { 200: MarkedResponse } } },
    (request) => {
      const { id, responseId } = request.params;
      return marks.correct(id, requireTeacher(request).id, responseId, request.body);
    },
  );

  app.post(
    '/api/sessions/:id/responses/:responseId/as-at-first',
    { schema: { params: OfResponse, response: { 200: MarkedResponse } } },
    (request) => marks.undo(request.params.id, requireTeacher(request).id, request.params.responseId),
  );

  app.post(
    '/api/classes/:id/wordings',
    { schema: { params: Params, body: WordingAccept, response: { 200: ReviewNotes } } },
    async (request) => {
      const { id } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
      await marks.accept(id, request.body);
      return review.notes(id);
    },
  );

  app.post(
    '/api/classes/:id/wordings/:wordingId/take-back',
    { schema: { params: Type.Object({ id: Type.String(), wordingId: Type.String() }), response: { 200: ReviewNotes } } },
    (request) => {
      const { id } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
      marks.takeBack(id, request.params.wordingId);
      return review.notes(id);
    },
  );

  app.post(
    '/api/classes/:id/pupils/:pupilId/comments',
    { schema: { params: OfPupil, body: CommentAdd, response: { 200: ReviewNotes } } },
    (request) => {
      const { pupilId } = request.params;
      const classId = mustOwnPupil(requireTeacher(request).id, request.params.id, pupilId);
      const { responseId } = request.body;
      if (responseId !== null && rooms.queries.response(responseId)?.pupilId !== pupilId) {
        throw new CoreError('NOT_FOUND', 'This pupil has given no such answer.');
      }
      review.insertComment({ ...request.body, pupilId, atMs: nowMs() });
      return review.notes(classId);
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
      const { id, pupilId, commentId } = request.params;
      const classId = mustOwnPupil(requireTeacher(request).id, id, pupilId);
      reallyDelete(store, () => review.deleteComment(commentId, pupilId));
      return review.notes(classId);
    },
  );

  app.post('/api/classes/:id/moves', { schema: { params: Params, body: GroupMove, response: NOTHING } }, (request, reply) => {
    const { pupilId, key } = request.body;
    const classId = mustOwnPupil(requireTeacher(request).id, request.params.id, pupilId);
    if (key === null) review.moveBack(classId, pupilId);
    else review.move({ classId, pupilId, key, atMs: nowMs() });
    void reply.code(204);
    return null;
  });

  app.post('/api/classes/:id/home/:pupilId', { schema: { params: OfPupil, body: HomePageEdit, response: NOTHING } }, (request, reply) => {
    const { id, pupilId } = request.params;
    mustOwnPupil(requireTeacher(request).id, id, pupilId);
    review.keepHomePage({ pupilId, ...request.body, atMs: nowMs() });
    void reply.code(204);
    return null;
  });

  app.post('/api/classes/:id/home/:pupilId/anew', { schema: { params: OfPupil, response: NOTHING } }, (request, reply) => {
    const { id, pupilId } = request.params;
    mustOwnPupil(requireTeacher(request).id, id, pupilId);
    review.dropHomePage(pupilId);
    void reply.code(204);
    return null;
  });
};
