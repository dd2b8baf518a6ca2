import { MarkCorrect, MarkedResponse, ReviewNotes, WordingAccept } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Feature } from '../../http/feature.js';
import { mustOwnClass } from '../classes/gives.js';
import type { ReviewRoutesOptions } from './options.js';

const Params = Type.Object({ id: Type.String() });
const OfResponse = Type.Object({ id: Type.String(), responseId: Type.String() });

/** Marks that a teacher puts beside the ones that were given: for one answer, and for a wording in all lessons of a class. */
export const markRoutes: Feature<ReviewRoutesOptions> = async (app, { store, requireTeacher, review, marks }) => {
  const { db } = store;

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
      const teacher = requireTeacher(request);
      const { id } = mustOwnClass(db, teacher.id, request.params.id);
      await marks.accept(id, teacher.id, request.body);
      return review.notes(id);
    },
  );

  app.post(
    '/api/classes/:id/wordings/:wordingId/take-back',
    { schema: { params: Type.Object({ id: Type.String(), wordingId: Type.String() }), response: { 200: ReviewNotes } } },
    (request) => {
      const teacher = requireTeacher(request);
      const { id } = mustOwnClass(db, teacher.id, request.params.id);
      marks.takeBack(id, teacher.id, request.params.wordingId);
      return review.notes(id);
    },
  );
};
