import { CoreError } from '@zeitpunkt/core/errors';
import { KEY_LENGTH } from '@zeitpunkt/core/live/room-key';
import type { Join, Knock } from '@zeitpunkt/contract';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { FailedTries } from '../../http/failed-tries.js';
import type { Limits } from '../../http/limits.js';
import { newToken, tokenHash, type Cookies } from '../../http/tokens.js';
import type { OpenRoom } from '../../sessions/open-room.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';
import type { OwnRooms } from '../own-pace/gives.js';
import { DEVICE_COOKIE, DEVICE_SECONDS } from './desk-tools.js';

type WhoTries = Pick<Join, 'roomKey' | 'knockId'> & Partial<Pick<Join, 'joinId'>>;

const crowded = () =>
  new CoreError(
    'DOOR_CROWDED',
    'Many wrong pictures come from here just now. Your teacher sees that you knock, and opens the door to you.',
  );
const tooManyLasting = () =>
  new CoreError('REQUEST_RATE', 'Many wrong pictures were tried in the last hour. Come in with your join card, or ask your teacher.');

export interface KeyTriesNeeds {
  readonly rooms: RoomDirectory;
  /** Of lessons at own pace. */
  readonly own: OwnRooms;
  readonly limits: Limits;
  readonly cookies: Cookies;
  readonly keyTries: FailedTries;
  readonly nowMs: () => number;
}

/** What opens rooms, and what is done about those who guess. */
export class KeyTries {
  /** Of the keys of what stays open for days. */
  private readonly lastingTries: FailedTries;

  constructor(private readonly needs: KeyTriesNeeds) {
    this.lastingTries = new FailedTries(needs.limits.lastingKey, needs.nowMs);
  }

  /** Tries a room key: one that opens nothing counts, whatever it was tried for. @throws CoreError REQUEST_RATE, DOOR_CROWDED, ROOM_KEY_UNKNOWN */
  async room(request: FastifyRequest, reply: FastifyReply, { roomKey, ...who }: WhoTries): Promise<OpenRoom> {
    const { rooms, own, keyTries, cookies } = this.needs;
    const device = deviceOf(request);
    const isLasting = roomKey.length > KEY_LENGTH;
    const tries = isLasting ? this.lastingTries : keyTries;
    tries.mustBeFree(device);
    const isExpected = who.knockId !== undefined && rooms.doors.isOpenedTo(roomKey, who.knockId);
    // A guesser behind the class's own address stops nobody whose device has been here before, nor whom the teacher opens to.
    if (!isExpected && !this.isKnown(device) && tries.isCrowded(request.ip)) throw isLasting ? tooManyLasting() : crowded();
    if (device === null) reply.setCookie(DEVICE_COOKIE, newToken(), { ...cookies, maxAge: DEVICE_SECONDS });
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
  }

  /** Knocks: whoever does hears the same whether there is a room or not, and every knock counts as a wrong key. @throws CoreError REQUEST_RATE */
  knock(request: FastifyRequest, { roomKey, knockId }: Knock): void {
    const { rooms, keyTries } = this.needs;
    const device = deviceOf(request);
    keyTries.mustBeFree(device);
    const mustBeOpened = !this.isKnown(device) && keyTries.isCrowded(request.ip);
    keyTries.failed(device, request.ip, !rooms.doors.isThere(roomKey));
    rooms.doors.knock(roomKey, knockId, mustBeOpened);
  }

  /** A device that has been in a room of this school: nobody else has its token. */
  private isKnown(device: string | null): boolean {
    return device !== null && this.needs.rooms.queries.deviceKnown(tokenHash(device));
  }
}

const deviceOf = (request: FastifyRequest) => request.cookies[DEVICE_COOKIE] ?? null;
