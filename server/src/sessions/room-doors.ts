import { CoreError } from '@zeitpunkt/core/errors';
import { type KeyPicture, drawRoomKey, KEY_LENGTH, roomKeyText } from '@zeitpunkt/core/live/room-key';
import { randomInt } from 'node:crypto';
import type { LiveRoom } from './live-room.js';
import type { SessionQueries } from './queries.js';

/** The doors of all open rooms: what whoever has some pictures is told, and what not. */
export class RoomDoors {
  constructor(
    private readonly queries: Pick<SessionQueries, 'sessionIdByKey'>,
    private readonly find: (sessionId: string) => LiveRoom | undefined,
  ) {}

  /**
   * The room that a key opens.
   * @throws CoreError ROOM_KEY_UNKNOWN, the same whether there is no such room or its door is closed
   */
  byKey(pictures: readonly KeyPicture[], who: { readonly joinId?: string; readonly knockId?: string | undefined } = {}): LiveRoom {
    const room = this.behind(pictures);
    const isIn = who.joinId !== undefined && room?.hasParticipant(who.joinId); // the same join once more
    if (!room || !(isIn || room.door.isOpenTo(who.knockId))) {
      throw new CoreError('ROOM_KEY_UNKNOWN', 'No open door has these four pictures in this order. Look at them once more.');
    }
    return room;
  }

  /** Knocks at the door that has a key, if there is one: whoever knocks does not learn that. */
  knock(pictures: readonly KeyPicture[], knockId: string, mustBeOpened: boolean): void {
    this.behind(pictures)?.door.knock(knockId, mustBeOpened);
  }

  /** Whether a teacher has opened to one who knocked with these pictures. */
  isOpenedTo(pictures: readonly KeyPicture[], knockId: string): boolean {
    return this.behind(pictures)?.door.isOpenedTo(knockId) ?? false;
  }

  /** The room that is open by now to one who knocked; null while it is not. */
  openedTo(pictures: readonly KeyPicture[], knockId: string): LiveRoom | null {
    const room = this.behind(pictures);
    return room?.door.hasKnocked(knockId) && room.door.isOpenTo(knockId) ? room : null;
  }

  /** Whether an open room has a key, whatever its door; nobody outside is told. */
  isThere(pictures: readonly KeyPicture[]): boolean {
    return this.behind(pictures) !== undefined;
  }

  /** A room key that no session has. */
  freeKey(length = KEY_LENGTH): string {
    for (;;) {
      const key = roomKeyText(drawRoomKey(() => randomInt(2 ** 32) / 2 ** 32, length));
      if (this.queries.sessionIdByKey(key) === undefined) return key;
    }
  }

  private behind(pictures: readonly KeyPicture[]): LiveRoom | undefined {
    const id = this.queries.sessionIdByKey(pictures.join(' '));
    return id === undefined ? undefined : this.find(id);
  }
}
