import { CountLate, MarkedResponse, ResponseEntered } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Feature } from '../../http/feature.js';
import type { TeacherRoutesOptions } from './options.js';

const Params = Type.Object({ id: Type.String() });

/** What a teacher does with answers: types one for a pupil, takes that back, lets a late one count. */
export const answerRoutes: Feature<TeacherRoutesOptions> = async (app, { rooms, requireTeacher }) => {
  app.post(
    '/api/sessions/:id/entered',
    { schema: { params: Params, body: ResponseEntered, response: { 200: MarkedResponse } } },
    (request) => rooms.enterResponse(request.params.id, requireTeacher(request).id, request.body),
  );

  app.post(
    '/api/sessions/:id/entered/:responseId/take-back',
    { schema: { params: Type.Object({ id: Type.String(), responseId: Type.String() }), response: { 204: Type.Null() } } },
    (request, reply) => {
      rooms.takeBack(request.params.id, requireTeacher(request).id, request.params.responseId);
      void reply.code(204);
      return null;
    },
  );

  app.post(
    '/api/sessions/:id/responses/:responseId/count',
    {
      schema: {
        params: Type.Object({ id: Type.String(), responseId: Type.String() }),
        body: CountLate,
        response: { 204: Type.Null() },
      },
    },
    (request, reply) => {
      const { id, responseId } = request.params;
      rooms.count(id, requireTeacher(request).id, responseId, request.body.counted);
      void reply.code(204);
      return null;
    },
  );
};
