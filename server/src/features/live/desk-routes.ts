import { CoreError } from '@zeitpunkt/core';
import { DeskView, Join, ResponseKept, ResponsePost, RoomFound, RoomLookup } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyRequest } from 'fastify';
import type { Feature } from '../../http/feature.js';
import type { Limits } from '../../http/limits.js';
import { stored } from '../../db/stored.js';
import { COOKIE, newToken, tokenHash } from '../../http/tokens.js';
import { keptAgain } from './answers.js';
import { DESK_COOKIE, endedView, type DeskPlace } from './desk-places.js';
import type { RoomDirectory } from './room-directory.js';

/** A joined device stays joined for a school day. */
const DESK_SECONDS = 12 * 3600;

export interface DeskRoutesOptions {
  readonly rooms: RoomDirectory;
  readonly findDesk: (request: FastifyRequest) => DeskPlace;
  readonly limits: Limits;
}

/** The pupil's desk: find the room, join it, see it, respond. */
export const deskRoutes: Feature<DeskRoutesOptions> = async (app, { rooms, findDesk, limits }) => {
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
      rooms.tokens.forget(({ participantId }) => participantId === joinId); // a token that was replaced stops working
      reply.setCookie(DESK_COOKIE, token, { ...COOKIE, maxAge: DESK_SECONDS });
      return room.deskView(joinId);
    },
  );

  app.get('/api/desk', { schema: { response: { 200: DeskView } } }, (request) => {
    const place = findDesk(request);
    return place.room ? place.room.deskView(place.participantId) : endedView(place.ended);
  });

  app.post('/api/desk/responses', { schema: { body: ResponsePost, response: { 200: ResponseKept } }, bodyLimit }, (request) => {
    const place = findDesk(request);
    if (place.room) return place.room.respond(place.participantId, request.body);
    // The room has ended meanwhile: what was kept is acknowledged again, nothing else is taken.
    const known = rooms.queries.response(request.body.id);
    if (known) return keptAgain({ ...known, response: stored.response(known.given, 'this device') }, place.ended.pupilId, request.body);
    throw new CoreError('QUESTION_NOT_OPEN', 'The lesson has ended, so the answer was not taken.');
  });

  app.post('/api/desk/leave', { schema: { response: { 204: Type.Null() } } }, (request, reply) => {
    const place = findDesk(request);
    if (place.room) rooms.release(place.room, place.participantId);
    void reply.clearCookie(DESK_COOKIE, COOKIE).code(204);
    return null;
  });
};
