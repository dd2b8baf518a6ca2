import { CoreError, drawRoomKey, NEW_ROOM, roomKeyText, type KeyPicture } from '@zeitpunkt/core';
import type { Pupil, SessionStart } from '@zeitpunkt/contract';
import { randomInt } from 'node:crypto';
import type { Store } from '../../db/connection.js';
import { groupCommit } from '../../db/group-commit.js';
import { LiveRoom, type RoomNeeds } from './live-room.js';
import { liveQueries } from './queries.js';

export interface DirectoryOptions {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly pupilsOf: (classId: string) => Pupil[];
}

/** All live rooms, each read from the database when it is first asked for, and kept in memory while it is open. */
export class RoomDirectory {
  readonly queries;
  private readonly rooms = new Map<string, LiveRoom>();
  private readonly needs: RoomNeeds;

  constructor(private readonly options: DirectoryOptions) {
    const { store, nowMs } = options;
    this.queries = liveQueries(store.db);
    this.needs = {
      queries: this.queries,
      commit: groupCommit(store.sqlite),
      nowMs,
    };
  }

  /** Opens a room under an id that the console made. The same start sent again gives the same room. */
  open(start: SessionStart, teacherId: string, lessonVersion: number): LiveRoom {
    const known = this.find(start.id);
    if (known) {
      if (known.teacherId !== teacherId) throw new CoreError('SESSION_ID_TAKEN', 'This session id is in use already; please start again.');
      return known;
    }
    this.queries.insertSession({
      ...start,
      teacherId,
      lessonVersion,
      roomKey: this.freeKey(),
      room: JSON.stringify(NEW_ROOM),
      createdAtMs: this.options.nowMs(),
      endedAtMs: null,
    });
    return this.find(start.id)!;
  }

  find(sessionId: string): LiveRoom | undefined {
    const known = this.rooms.get(sessionId);
    if (known) return known;
    const row = this.queries.session(sessionId);
    if (!row) return undefined;
    const room = new LiveRoom(row, this.options.pupilsOf(row.session.classId), this.needs);
    if (room.isOpen()) this.rooms.set(sessionId, room); // an ended one is only read, for a review
    return room;
  }

  /** @throws CoreError NOT_FOUND, also for the rooms of other teachers */
  own(sessionId: string, teacherId: string): LiveRoom {
    const room = this.find(sessionId);
    if (room?.teacherId !== teacherId) throw new CoreError('NOT_FOUND', 'There is no such lesson run among yours.');
    return room;
  }

  /** @throws CoreError ROOM_KEY_UNKNOWN */
  byKey(pictures: readonly KeyPicture[]): LiveRoom {
    const id = this.queries.sessionIdByKey(pictures.join(' '));
    const room = id === undefined ? undefined : this.find(id);
    if (!room?.isOpen()) {
      throw new CoreError('ROOM_KEY_UNKNOWN', 'No room has these four pictures in this order. Look at them once more.');
    }
    return room;
  }

  private freeKey(): string {
    for (;;) {
      const key = roomKeyText(drawRoomKey(() => randomInt(2 ** 32) / 2 ** 32));
      if (this.queries.sessionIdByKey(key) === undefined) return key;
    }
  }
}
