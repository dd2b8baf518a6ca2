import { CoreError, type Lesson, type RoomState } from '@zeitpunkt/core';
import { CommandDone, CommandPost, SessionDetail, SessionList, SessionStart } from '@zeitpunkt/contract';
import type { FastifyPluginAsyncTypebox } from '@fastify/type-provider-typebox';
import { Type } from '@sinclair/typebox';
import type { RequireTeacher } from '../auth/guard.js';
import type { RoomDirectory } from './room-directory.js';

export interface TeacherRoutesOptions {
  readonly rooms: RoomDirectory;
  readonly requireTeacher: RequireTeacher;
  /** The newest version of a lesson, if the teacher owns both lesson and class. */
  readonly versionToTeach: (teacherId: string, lessonId: string, classId: string) => number | undefined;
}

const Params = Type.Object({ id: Type.String() });

/** Live sessions as their teacher sees and steers them. */
export const teacherRoutes: FastifyPluginAsyncTypebox<TeacherRoutesOptions> = async (app, options) => {
  const { rooms, requireTeacher } = options;

  app.get('/api/sessions', { schema: { response: { 200: SessionList } } }, (request) => {
    const teacher = requireTeacher(request);
    const counts = new Map(rooms.queries.responseCounts(teacher.id).map((row) => [row.sessionId, row.responses]));
    return rooms.queries.sessionsOf(teacher.id).map(({ session, className, file, participantCount }) => ({
      id: session.id,
      lessonId: session.lessonId,
      title: (JSON.parse(file) as Lesson).title,
      className,
      phase: (JSON.parse(session.room) as RoomState).phase,
      createdAtMs: session.createdAtMs,
      endedAtMs: session.endedAtMs,
      participantCount,
      responseCount: counts.get(session.id) ?? 0,
    }));
  });

  app.post('/api/sessions', { schema: { body: SessionStart, response: { 200: SessionDetail } } }, (request) => {
    const teacher = requireTeacher(request);
    const version = options.versionToTeach(teacher.id, request.body.lessonId, request.body.classId);
    if (version === undefined) throw new CoreError('NOT_FOUND', 'There is no such lesson or class among yours.');
    return rooms.open(request.body, teacher.id, version).detail();
  });

  app.get('/api/sessions/:id', { schema: { params: Params, response: { 200: SessionDetail } } }, (request) =>
    rooms.own(request.params.id, requireTeacher(request).id).detail(),
  );

  app.post('/api/sessions/:id/commands', { schema: { params: Params, body: CommandPost, response: { 200: CommandDone } } }, (request) =>
    rooms.own(request.params.id, requireTeacher(request).id).command(request.body.id, request.body.command),
  );

  app.post(
    '/api/sessions/:id/participants/:participantId/release',
    { schema: { params: Type.Object({ id: Type.String(), participantId: Type.String() }), response: { 204: Type.Null() } } },
    (request, reply) => {
      rooms.own(request.params.id, requireTeacher(request).id).release(request.params.participantId);
      void reply.code(204);
      return null;
    },
  );
};
