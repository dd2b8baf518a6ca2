import { LetIn } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Feature } from '../../http/feature.js';
import { ClassLists } from '../classes/gives.js';
import type { TeacherRoutesOptions } from './options.js';

const Params = Type.Object({ id: Type.String() });

/** The door of a room as its teacher keeps it: who is let in, who is opened to, who is sent out. */
export const doorRoutes: Feature<TeacherRoutesOptions> = async (app, { rooms, store, events, requireTeacher }) => {
  const lists = new ClassLists(store, events);

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
};
