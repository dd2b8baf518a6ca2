import { CoreError } from '@zeitpunkt/core/errors';
import { DeskView, Join, Knock, KnockAnswer, RoomFound, RoomLookup, PARTS } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import { newToken, tokenHash } from '../../http/tokens.js';
import { DESK_COOKIE, type FindDesk } from '../../sessions/desk-places.js';
import type { OpenRoom } from '../../sessions/open-room.js';
import { ClassLists } from '../classes/gives.js';
import { DEVICE_COOKIE, deskTools, KNOWN_SECONDS } from './desk-tools.js';
import { KeyTries, type KeyTriesNeeds } from './key-tries.js';

export interface ComingInOptions extends KeyTriesNeeds {
  readonly findDesk: FindDesk;
  readonly store: Store;
  readonly events: Events;
}

/** How a pupil comes in: a room is looked up by its key, joined, or knocked at. */
export const comingInRoutes: Feature<ComingInOptions> = async (app, options) => {
  const { rooms, store, events, findDesk, limits, cookies } = options;
  const bodyLimit = limits.deskBodyBytes;
  const lists = new ClassLists(store, events);
  const tries = new KeyTries(options);
  const { keep, foundOf } = deskTools({ rooms, findDesk, cookies });

  /** One who is not on the class list is put on it, at its end. @throws CoreError PUPIL_UNKNOWN, NAME_TAKEN */
  const takeNewcomer = (room: OpenRoom, pupil: { readonly id: string; readonly name: string }) => {
    if (!room.admitsNewcomers || (rooms.find(room.id)?.newcomers ?? 0) >= PARTS.newcomers.most) {
      throw new CoreError('PUPIL_UNKNOWN', 'Only pupils of the class list can come in here. Please ask your teacher.');
    }
    lists.add(room.classId, pupil);
  };

  app.post('/api/desk/room', { schema: { body: RoomLookup, response: { 200: RoomFound } }, bodyLimit }, async (request, reply) =>
    foundOf(await tries.room(request, reply, request.body)),
  );

  app.post('/api/desk/join', { schema: { body: Join, response: { 200: DeskView } }, bodyLimit }, async (request, reply) => {
    const { joinId, pupilId, again, newName } = request.body;
    const room = await tries.room(request, reply, request.body);
    const token = newToken();
    const newcomer = newName !== undefined && !room.hasParticipant(joinId);
    if (newcomer) takeNewcomer(room, { id: pupilId, name: newName.trim() });
    const placeId = room.join({ participantId: joinId, pupilId, tokenHash: tokenHash(token), again, newcomer });
    rooms.tokens.forget(({ participantId }) => participantId === placeId); // a token that was replaced stops working
    keep(reply, DESK_COOKIE, token, room.deskSeconds);
    keep(reply, DEVICE_COOKIE, token, KNOWN_SECONDS);
    return room.deskView(placeId);
  });

  app.post('/api/desk/knock', { schema: { body: Knock, response: { 204: Type.Null() } }, bodyLimit }, async (request, reply) => {
    tries.knock(request, request.body);
    return reply.code(204).send(null);
  });

  app.post('/api/desk/knock/answer', { schema: { body: Knock, response: { 200: KnockAnswer } }, bodyLimit }, (request) => {
    const room = rooms.doors.openedTo(request.body.roomKey, request.body.knockId);
    return { room: room && foundOf(room) };
  });
};
