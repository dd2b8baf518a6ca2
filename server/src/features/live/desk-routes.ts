import { CoreError } from '@zeitpunkt/core';
import { DeskView, Join, ResponseKept, ResponsePost, RoomFound, RoomLookup } from '@zeitpunkt/contract';
import type { FastifyPluginAsyncTypebox } from '@fastify/type-provider-typebox';
import { Type } from '@sinclair/typebox';
import type { FastifyRequest } from 'fastify';
import type { Limits } from '../../http/limits.js';
import { COOKIE, newToken, tokenHash } from '../../http/tokens.js';
import type { LiveRoom } from './live-room.js';
import type { RoomDirectory } from './room-directory.js';

const DESK_COOKIE = 'zp_desk';
/** A joined device stays joined for a school day. */
const DESK_SECONDS = 12 * 3600;

/** A pupil's device in its room. */
export interface DeskPlace {
  readonly room: LiveRoom;
  readonly participantId: string;
}

/** Finds the place that a device's cookie belongs to. @throws CoreError DESK_NOT_JOINED */
export function deskFinder(rooms: RoomDirectory): (request: FastifyRequest) => DeskPlace {
  // Every response needs this; a token keeps its participant, so the database is asked once for each.
  const known = new Map<string, { sessionId: string; id: string }>();
  return (request) => {
    const token = request.cookies[DESK_COOKIE];
    const hash = token ? tokenHash(token) : '';
    const found = known.get(hash) ?? (hash ? rooms.queries.participantByToken(hash) : undefined);
    const room = found && rooms.find(found.sessionId);
    if (!found || !room?.hasParticipant(found.id)) {
      known.delete(hash);
      throw new CoreError('DESK_NOT_JOINED', 'This device is not in a room. Please enter the four pictures again.');
    }
    known.set(hash, found);
    return { room, participantId: found.id };
  };
}

export interface DeskRoutesOptions {
  readonly rooms: RoomDirectory;
  readonly findDesk: (request: FastifyRequest) => DeskPlace;
  readonly limits: Limits;
}

/** The pupil's desk: find the room, join it, see it, respond. */
export const deskRoutes: FastifyPluginAsyncTypebox<DeskRoutesOptions> = async (app, { rooms, findDesk, limits }) => {
  const rateLimit = { max: limits.joinPerMinute, timeWindow: '1 minute' };
  const bodyLimit = limits.deskBodyBytes;

  app.post(
    '/api/desk/room',
    { schema: { body: RoomLookup, response: { 200: RoomFound } }, bodyLimit, config: { rateLimit } },
    (request) => {
      const room = rooms.byKey(request.body.roomKey);
      return { className: room.className, pupils: room.pupilsNotIn() };
    },
  );

  app.post(
    '/api/desk/join',
    { schema: { body: Join, response: { 200: DeskView } }, bodyLimit, config: { rateLimit } },
    (request, reply) => {
      const { joinId, roomKey, pupilId } = request.body;
      const room = rooms.byKey(roomKey);
      const token = newToken();
      room.join(joinId, pupilId, tokenHash(token));
      reply.setCookie(DESK_COOKIE, token, { ...COOKIE, maxAge: DESK_SECONDS });
      return room.deskView(joinId);
    },
  );

  app.get('/api/desk', { schema: { response: { 200: DeskView } } }, (request) => {
    const { room, participantId } = findDesk(request);
    return room.deskView(participantId);
  });

  app.post('/api/desk/responses', { schema: { body: ResponsePost, response: { 200: ResponseKept } }, bodyLimit }, (request) => {
    const { room, participantId } = findDesk(request);
    return room.respond(participantId, request.body);
  });

  app.post('/api/desk/leave', { schema: { response: { 204: Type.Null() } } }, (request, reply) => {
    const { room, participantId } = findDesk(request);
    room.release(participantId);
    void reply.clearCookie(DESK_COOKIE, COOKIE).code(204);
    return null;
  });
};
