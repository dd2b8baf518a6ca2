import { CommandDone, CommandPost, SessionDetail, SessionList, SessionStart } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { pinForTeaching } from '../lessons/gives.js';
import { answerRoutes } from './answer-routes.js';
import { doorRoutes } from './door-routes.js';
import type { TeacherRoutesOptions } from './options.js';

const Params = Type.Object({ id: Type.String() });
nameFeatures({ doorRoutes, answerRoutes });

/** Live sessions as their teacher sees and steers them. */
export const teacherRoutes: Feature<TeacherRoutesOptions> = async (app, options) => {
  const { rooms, store, nowMs, requireTeacher } = options;
  await app.register(doorRoutes, options);
  await app.register(answerRoutes, options);

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
};
