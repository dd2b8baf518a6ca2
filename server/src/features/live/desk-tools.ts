import { CoreError } from '@zeitpunkt/core/errors';
import type { RoomFound } from '@zeitpunkt/contract';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { Cookies } from '../../http/tokens.js';
import { DESK_COOKIE, type FindDesk } from '../../sessions/desk-places.js';
import type { OpenRoom } from '../../sessions/open-room.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';

/** Tells one device from another behind the same address, so that one that fails is slowed down alone. */
export const DEVICE_COOKIE = 'zp_device';
/** A device that has been in a room is known for half a school year. */
export const KNOWN_SECONDS = 150 * 24 * 3600;
/** A device that was never in is told from others behind its address for a school day. */
export const DEVICE_SECONDS = 12 * 3600;

interface DeskToolsNeeds {
  readonly rooms: RoomDirectory;
  readonly findDesk: FindDesk;
  readonly cookies: Cookies;
}

/** What all routes of a pupil's device do. */
export const deskTools = ({ rooms, findDesk, cookies }: DeskToolsNeeds) => ({
  /** Keeps a token on the device. */
  keep: (reply: FastifyReply, name: string, token: string, maxAge: number) => reply.setCookie(name, token, { ...cookies, maxAge }),

  /** Of a device that is in an open room. @throws CoreError DESK_NOT_JOINED, ROOM_NOT_RUNNING */
  inRoom(request: FastifyRequest) {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    const room = place.room && rooms.find(place.room.id);
    if (!place.room || !room) throw new CoreError('ROOM_NOT_RUNNING', 'The lesson is over.');
    return { room, participantId: place.participantId };
  },

  /** A room as whoever has its key sees it. */
  foundOf: ({ className, names, admitsNewcomers }: OpenRoom): RoomFound => ({ className, ...names, newcomers: admitsNewcomers }),
});
