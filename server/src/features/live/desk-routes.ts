import { CoreError } from '@zeitpunkt/core';
import { DeskView, Join, Knock, KnockAnswer, RoomFound, RoomLookup } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { FailedTries } from '../../http/failed-tries.js';
import type { Feature } from '../../http/feature.js';
import type { Limits } from '../../http/limits.js';
import { newToken, tokenHash, type Cookies } from '../../http/tokens.js';
import { DESK_COOKIE, endedView, type FindDesk } from './desk-places.js';
import type { LiveRoom } from './live-room.js';
import type { RoomDirectory } from './room-directory.js';

/** A joined device stays joined for a school day. */
export const DESK_SECONDS = 12 * 3600;
/** Tells one device from another behind the same address, so that one that fails is slowed down alone. */
export const DEVICE_COOKIE = 'zp_device';

export interface DeskRoutesOptions {
  readonly rooms: RoomDirectory;
  readonly findDesk: FindDesk;
  readonly limits: Limits;
  readonly cookies: Cookies;
  readonly keyTries: FailedTries;
}

type WhoTries = Pick<Join, 'roomKey' | 'knockId'> & Partial<Pick<Join, 'joinId'>>;

/** The pupil's desk: find the room, join it, see it, leave it. */
export const deskRoutes: Feature<DeskRoutesOptions> = async (app, { rooms, findDesk, limits, cookies, keyTries }) => {
  const bodyLimit = limits.deskBodyBytes;

  /** Tries a room key: one that opens nothing counts, whatever it was tried for. @throws CoreError REQUEST_RATE, ROOM_KEY_UNKNOWN */
  const tryKey = async (request: FastifyRequest, reply: FastifyReply, { roomKey, ...who }: WhoTries): Promise<LiveRoom> => {
    const device = request.cookies[DEVICE_COOKIE] ?? null;
    await keyTries.mayTry(device, request.ip);
    if (device === null) reply.setCookie(DEVICE_COOKIE, newToken(), { ...cookies, maxAge: DESK_SECONDS });
    try {
      return rooms.byKey(roomKey, who);
    } catch (error) {
      if (error instanceof CoreError && error.code === 'ROOM_KEY_UNKNOWN') {
        const isWrong = !rooms.isThere(roomKey);
        keyTries.failed(device, request.ip, isWrong);
        if (isWrong) rooms.wrongKeyTried();
      }
      throw error;
    }
  };
  const foundOf = ({ className, names }: LiveRoom) => ({ className, ...names });

  app.post('/api/desk/room', { schema: { body: RoomLookup, response: { 200: RoomFound } }, bodyLimit }, async (request, reply) =>
    foundOf(await tryKey(request, reply, request.body)),
  );

  app.post('/api/desk/join', { schema: { body: Join, response: { 200: DeskView } }, bodyLimit }, async (request, reply) => {
    const { joinId, pupilId, again } = request.body;
    const room = await tryKey(request, reply, request.body);
    const token = newToken();
    room.join(joinId, pupilId, tokenHash(token), again);
    rooms.tokens.forget(({ participantId }) => participantId === joinId); // a token that was replaced stops working
    reply.setCookie(DESK_COOKIE, token, { ...cookies, maxAge: DESK_SECONDS });
    return room.deskView(joinId);
  });

  // Whoever knocks hears the same whether there is a room or not: every knock counts as a wrong key.
  app.post('/api/desk/knock', { schema: { body: Knock, response: { 204: Type.Null() } }, bodyLimit }, async (request, reply) => {
    const { roomKey, knockId } = request.body;
    const device = request.cookies[DEVICE_COOKIE] ?? null;
    await keyTries.mayTry(device, request.ip);
    keyTries.failed(device, request.ip, !rooms.isThere(roomKey));
    rooms.knock(roomKey, knockId);
    return reply.code(204).send(null);
  });

  app.post('/api/desk/knock/answer', { schema: { body: Knock, response: { 200: KnockAnswer } }, bodyLimit }, (request) => {
    const room = rooms.openedTo(request.body.roomKey, request.body.knockId);
    return { room: room && foundOf(room) };
  });

  app.get('/api/desk', { schema: { response: { 200: DeskView } } }, (request) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    return place.room ? place.room.deskView(place.participantId) : endedView(place.ended);
  });

  app.post('/api/desk/leave', { schema: { response: { 204: Type.Null() } } }, (request, reply) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    if (place.room) place.room.release(place.participantId);
    void reply.clearCookie(DESK_COOKIE, cookies).code(204);
    return null;
  });
};
