import { CoreError } from '@zeitpunkt/core/errors';
import { KEY_LENGTH } from '@zeitpunkt/core/live/room-key';
import { DeskView, Join, Knock, KnockAnswer, NextLesson, ReadyPost, RoomFound, RoomLookup, ShownPost } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import { FailedTries } from '../../http/failed-tries.js';
import type { Feature } from '../../http/feature.js';
import type { Limits } from '../../http/limits.js';
import { newToken, tokenHash, type Cookies } from '../../http/tokens.js';
import { ClassLists } from '../classes/gives.js';
import type { OwnRooms } from '../own-pace/gives.js';
import { besideRoutes } from './beside-routes.js';
import { DEVICE_COOKIE, DEVICE_SECONDS, deskTools, KNOWN_SECONDS } from './desk-tools.js';
import { BESIDE_COOKIE, DESK_COOKIE, endedView, type FindDesk } from '../../sessions/desk-places.js';
import type { OpenRoom } from '../../sessions/open-room.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';

export interface DeskRoutesOptions {
  readonly rooms: RoomDirectory;
  readonly findDesk: FindDesk;
  readonly limits: Limits;
  readonly cookies: Cookies;
  readonly keyTries: FailedTries;
  readonly store: Store;
  readonly events: Events;
  readonly nowMs: () => number;
  /** Of lessons at own pace. */
  readonly own: OwnRooms;
}

/** So many who are not on its class list a room takes at most. */
const MOST_NEWCOMERS = 20;

type WhoTries = Pick<Join, 'roomKey' | 'knockId'> & Partial<Pick<Join, 'joinId'>>;

const crowded = () =>
  new CoreError(
    'DOOR_CROWDED',
    'Many wrong pictures come from here just now. Your teacher sees that you knock, and opens the door to you.',
  );
const tooManyLasting = () =>
  new CoreError('REQUEST_RATE', 'Many wrong pictures were tried in the last hour. Come in with your join card, or ask your teacher.');

/** The pupil's desk: find the room, join it, see it, leave it. */
export const deskRoutes: Feature<DeskRoutesOptions> = async (
  app,
  { rooms, own, store, events, nowMs, findDesk, limits, cookies, keyTries },
) => {
  const bodyLimit = limits.deskBodyBytes;
  const lists = new ClassLists(store, events);
  /** Of the keys of what stays open for days. */
  const lastingTries = new FailedTries(limits.lastingKey, nowMs);
  const { keep, inRoom, foundOf } = deskTools({ rooms, findDesk, cookies });

  const deviceOf = (request: FastifyRequest) => request.cookies[DEVICE_COOKIE] ?? null;
  /** A device that has been in a room of this school: nobody else has its token. */
  const isKnown = (device: string | null) => device !== null && rooms.queries.deviceKnown(tokenHash(device));

  /** Tries a room key: one that opens nothing counts, whatever it was tried for. @throws CoreError REQUEST_RATE, DOOR_CROWDED, ROOM_KEY_UNKNOWN */
  const tryKey = async (request: FastifyRequest, reply: FastifyReply, { roomKey, ...who }: WhoTries): Promise<OpenRoom> => {
    const device = deviceOf(request);
    const isLasting = roomKey.length > KEY_LENGTH;
    const tries = isLasting ? lastingTries : keyTries;
    tries.mustBeFree(device);
    const isExpected = who.knockId !== undefined && rooms.doors.isOpenedTo(roomKey, who.knockId);
    // A guesser behind the class's own address stops nobody whose device has been here before, nor whom the teacher opens to.
    if (!isExpected && !isKnown(device) && tries.isCrowded(request.ip)) throw isLasting ? tooManyLasting() : crowded();
    if (device === null) keep(reply, DEVICE_COOKIE, newToken(), DEVICE_SECONDS);
    try {
      return own.byKey(roomKey) ?? rooms.doors.byKey(roomKey, who);
    } catch (error) {
      if (error instanceof CoreError && error.code === 'ROOM_KEY_UNKNOWN') {
        const isWrong = !rooms.doors.isThere(roomKey);
        tries.failed(device, request.ip, isWrong);
        if (isWrong) rooms.wrongKeyTried();
      }
      throw error;
    }
  };

  /** One who is not on the class list is put on it, at its end. @throws CoreError PUPIL_UNKNOWN, NAME_TAKEN */
  const takeNewcomer = (room: OpenRoom, pupil: { readonly id: string; readonly name: string }) => {
    if (!room.admitsNewcomers || (rooms.find(room.id)?.newcomers ?? 0) >= MOST_NEWCOMERS) {
      throw new CoreError('PUPIL_UNKNOWN', 'Only pupils of the class list can come in here. Please ask your teacher.');
    }
    lists.add(room.classId, pupil);
  };
  await app.register(besideRoutes, { rooms, findDesk, limits, cookies });

  app.post('/api/desk/room', { schema: { body: RoomLookup, response: { 200: RoomFound } }, bodyLimit }, async (request, reply) =>
    foundOf(await tryKey(request, reply, request.body)),
  );

  app.post('/api/desk/join', { schema: { body: Join, response: { 200: DeskView } }, bodyLimit }, async (request, reply) => {
    const { joinId, pupilId, again, newName } = request.body;
    const room = await tryKey(request, reply, request.body);
    const token = newToken();
    const newcomer = newName !== undefined && !room.hasParticipant(joinId);
    if (newcomer) takeNewcomer(room, { id: pupilId, name: newName.trim() });
    const placeId = room.join({ participantId: joinId, pupilId, tokenHash: tokenHash(token), again, newcomer });
    rooms.tokens.forget(({ participantId }) => participantId === placeId); // a token that was replaced stops working
    keep(reply, DESK_COOKIE, token, room.deskSeconds);
    keep(reply, DEVICE_COOKIE, token, KNOWN_SECONDS);
    return room.deskView(placeId);
  });

  // Whoever knocks hears the same whether there is a room or not: every knock counts as a wrong key.
  app.post('/api/desk/knock', { schema: { body: Knock, response: { 204: Type.Null() } }, bodyLimit }, async (request, reply) => {
    const { roomKey, knockId } = request.body;
    const device = deviceOf(request);
    keyTries.mustBeFree(device);
    const mustBeOpened = !isKnown(device) && keyTries.isCrowded(request.ip);
    keyTries.failed(device, request.ip, !rooms.doors.isThere(roomKey));
    rooms.doors.knock(roomKey, knockId, mustBeOpened);
    return reply.code(204).send(null);
  });

  app.post('/api/desk/knock/answer', { schema: { body: Knock, response: { 200: KnockAnswer } }, bodyLimit }, (request) => {
    const room = rooms.doors.openedTo(request.body.roomKey, request.body.knockId);
    return { room: room && foundOf(room) };
  });

  app.get('/api/desk', { schema: { response: { 200: DeskView } } }, (request) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    return place.room ? place.room.deskView(place.participantId) : endedView(place.ended);
  });

  // A desk that was left open after a lesson asks whether the next one of its class is there: coming in is by key all the same.
  app.get('/api/desk/next', { schema: { response: { 200: NextLesson } } }, (request) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    return { open: place.room === null && rooms.isOpenFor(place.ended.classId) };
  });

  app.post('/api/desk/ready', { schema: { body: ReadyPost, response: { 204: Type.Null() } }, bodyLimit }, (request, reply) => {
    const { room, participantId } = inRoom(request);
    room.sayReady(participantId, request.body.pulse, request.body.ready);
    void reply.code(204);
    return null;
  });

  app.post('/api/desk/shown', { schema: { body: ShownPost, response: { 204: Type.Null() } }, bodyLimit }, (request, reply) => {
    const { room, participantId } = inRoom(request);
    room.showDial(participantId, request.body.pose);
    void reply.code(204);
    return null;
  });

  app.post('/api/desk/leave', { schema: { response: { 204: Type.Null() } } }, (request, reply) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    if (place.room) place.room.release(place.participantId);
    // Whoever shared the device stays.
    const beside = request.cookies[BESIDE_COOKIE];
    if (beside) keep(reply, DESK_COOKIE, beside, place.room?.deskSeconds ?? DEVICE_SECONDS);
    else void reply.clearCookie(DESK_COOKIE, cookies);
    void reply.clearCookie(BESIDE_COOKIE, cookies).code(204);
    return null;
  });
};
