import {
  CommandDone,
  CommandPost,
  CountLate,
  LetIn,
  MarkedResponse,
  ResponseEntered,
  SessionDetail,
  SessionList,
  SessionStart,
} from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/gives.js';
import { ClassLists } from '../classes/gives.js';
import { pinForTeaching } from '../lessons/gives.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';

export interface TeacherRoutesOptions {
  readonly rooms: RoomDirectory;
  readonly store: Store;
  readonly events: Events;
  readonly nowMs: () => number;
  readonly requireTeacher: RequireTeacher;
}

const Params = Type.Object({ id: Type.String() });

/** Live sessions as their teacher sees and steers them. */
export const teacherRoutes: Feature<TeacherRoutesOptions> = async (app, { rooms, store, events, nowMs, requireTeacher }) => {
  const lists = new ClassLists(store, events);

  app.get('/api/sessions', { schema: { response: { 200: SessionList } } }, (request) => {
    const teacher = requireTeacher(request);
    const counts = new Map(rooms.queries.responseCounts(teacher.id).map((row) => [row.sessionId, row.responses]));
    return rooms.queries.sessionsOf(teacher.id).map((session) => ({ ...session, responseCount: counts.get(session.id) ?? 0 }));
  });

  app.post('/api/sessions', { schema: { body: SessionStart, response: { 200: SessionDetail } } }, (request) => {
    const teacher = requireTeacher(request);
    rooms.open(request.body, teacher.id, pinForTeaching(store.db, teacher.id, request.body, nowMs()));
    return rooms.detail(request.body.id, teacher.id);
  });

  app.get('/api/sessions/:id', { schema: { params: Params, response: { 200: SessionDetail } } }, (request) =>
    rooms.detail(request.params.id, requireTeacher(request).id),
  );

  app.post('/api/sessions/:id/commands', { schema: { params: Params, body: CommandPost, response: { 200: CommandDone } } }, (request) =>
    rooms.command(request.params.id, requireTeacher(request).id, request.body),
  );

  app.post(
    '/api/sessions/:id/participants/:participantId/send-out',
    { schema: { params: Type.Object({ id: Type.String(), participantId: Type.String() }), response: { 204: Type.Null() } } },
    (request, reply) => {
      const room = rooms.own(request.params.id, requireTeacher(request).id);
      const { pupilId, newcomer, waits } = room.release(request.params.participantId, true);
      // One who is not on the list and was never let in leaves nothing behind.
      if (newcomer && waits) lists.remove(room.classId, pupilId);
      void reply.code(204);
      return null;
    },
  );

  app.post('/api/sessions/:id/let-in', { schema: { params: Params, body: LetIn, response: { 204: Type.Null() } } }, (request, reply) => {
    rooms.own(request.params.id, requireTeacher(request).id).letIn(request.body.participantIds);
    void reply.code(204);
    return null;
  });

  app.post(
    '/api/sessions/:id/knocks/:knockId/open',
    { schema: { params: Type.Object({ id: Type.String(), knockId: Type.String() }), response: { 204: Type.Null() } } },
    (request, reply) => {
      rooms.own(request.params.id, requireTeacher(request).id).door.openTo(request.params.knockId);
      void reply.code(204);
      return null;
    },
  );

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
