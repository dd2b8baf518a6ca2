import { CoreError } from '@zeitpunkt/core/errors';
import { SHORE_NAMES } from '@zeitpunkt/core/rehearsal/shore-names';
import { RehearsalStart, SessionDetail, SimulatedWish } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { AddressInfo } from 'node:net';
import type { Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/gives.js';
import { pinForTeaching } from '../lessons/gives.js';
import { insertClass, simulatedClassOf } from '../classes/gives.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';
import { SimulatedPupils } from './simulated-pupils.js';

export interface SimulatedOptions {
  readonly store: Store;
  readonly rooms: RoomDirectory;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });
/** What simulated pupils gave is of no use for longer, in days. */
const KEPT_DAYS = 7;

/**
 * Rooms with simulated pupils, who come over the line like real ones. They are a class of their own, which stands in no list of
 * classes: nothing that they give is ever counted for another.
 */
export const simulatedPlugin: Feature<SimulatedOptions> = async (app, { store, rooms, requireTeacher, nowMs }) => {
  const { db } = store;
  const pupils = new SimulatedPupils({
    base: () => baseOf(app.server.address()),
    onFault: (error) => app.log.warn({ err: error }, 'a simulated device failed'),
  });
  app.addHook('preClose', async () => pupils.close());

  /** The teacher's class of simulated pupils, made when it is first needed. */
  const classOf = (teacherId: string): string => {
    const known = simulatedClassOf(db, teacherId);
    if (known) return known;
    const made = { name: 'Simulated pupils', pupilNames: SHORE_NAMES, createdAtMs: nowMs(), simulated: true, keepDays: KEPT_DAYS };
    const { id } = insertClass(db, { teacherId, ...made });
    rooms.queries.setDoorAdmits(id, 'class-list');
    return id;
  };
  /** A room of the teacher's with simulated pupils. @throws CoreError NOT_FOUND, ROOM_NOT_RUNNING, NOT_ALLOWED */
  const simulatedRoom = (sessionId: string, teacherId: string) => {
    const room = rooms.own(sessionId, teacherId);
    if (!room.detail().simulated)
      throw new CoreError('NOT_ALLOWED', 'Simulated pupils come only into rooms of their own, never among a class.');
    return room;
  };

  app.post('/api/rehearsals', { schema: { body: RehearsalStart, response: { 200: SessionDetail } } }, (request) => {
    const teacher = requireTeacher(request);
    const { id, lessonId } = request.body;
    const classId = classOf(teacher.id);
    rooms.open({ id, lessonId, classId }, teacher.id, pinForTeaching(db, teacher.id, { lessonId, classId }, nowMs()));
    return rooms.detail(id, teacher.id);
  });

  app.post(
    '/api/sessions/:id/simulated',
    { schema: { params: Params, body: SimulatedWish, response: { 204: Type.Null() } } },
    async (request, reply) => {
      await pupils.fill(simulatedRoom(request.params.id, requireTeacher(request).id), request.body);
      return reply.code(204).send(null);
    },
  );

  app.post('/api/sessions/:id/simulated/stop', { schema: { params: Params, response: { 204: Type.Null() } } }, (request, reply) => {
    pupils.empty(simulatedRoom(request.params.id, requireTeacher(request).id).id);
    void reply.code(204);
    return null;
  });
};

/** Where a server that listens is reached from its own machine. */
function baseOf(address: AddressInfo | string | null): string | null {
  if (address === null || typeof address === 'string') return null;
  const isAny = address.address === '::' || address.address === '0.0.0.0';
  const host = isAny ? '127.0.0.1' : address.family === 'IPv6' ? `[${address.address}]` : address.address;
  return `http://${host}:${address.port}`;
}
