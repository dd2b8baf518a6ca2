import { ResponseKept, ResponsePost, Uuid } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Feature } from '../../http/feature.js';
import type { Limits } from '../../http/limits.js';
import { cookieIn } from '../../http/tokens.js';
import { dataHeaders } from '../../http/web-pages.js';
import { placeMeant, type FindDesk } from '../../sessions/desk-places.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';

export interface AnswerRouteOptions {
  readonly rooms: RoomDirectory;
  readonly findDesk: FindDesk;
  readonly limits: Limits;
}

/** Whose answer it is, where two pupils share a device. */
const Query = Type.Object({ of: Type.Optional(Uuid) });

/**
 * Where answers come in: a whole class at once. It stands apart from all other routes, so that nothing is done for each
 * answer that it does not need: no cookie but one is read and none is set, nothing is packed, and no logger is made.
 */
export const answerRoute: Feature<AnswerRouteOptions> = async (app, { rooms, findDesk, limits }) => {
  app.addHook('onRequest', dataHeaders);
  app.post(
    '/api/desk/responses',
    {
      schema: { body: ResponsePost, querystring: Query, response: { 200: ResponseKept } },
      bodyLimit: limits.deskBodyBytes,
      logLevel: 'silent',
    },
    (request) => {
      const place = placeMeant(findDesk, (name) => cookieIn(request.headers.cookie, name), request.query.of);
      return place.room ? place.room.respond(place.participantId, request.body) : rooms.keepAfterEnd(place.ended, request.body);
    },
  );
};
