import { CoreError, drawRoomKey, newRoom, prepareLesson, roomKeyText, writeRoomState, type KeyPicture, type Lesson } from '@zeitpunkt/core';
import type { CommandDone, CommandPost, Pupil, SessionDetail, SessionStart } from '@zeitpunkt/contract';
import { randomInt } from 'node:crypto';
import type { Store } from '../../db/connection.js';
import { groupCommit } from '../../db/group-commit.js';
import { DeskTokens } from './desk-places.js';
import { LiveRoom, type RoomNeeds } from './live-room.js';
import { liveQueries } from './queries.js';
import { detailOfRecord, readRecord, type SessionRecord } from './session-record.js';

export interface DirectoryOptions {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly pupilsOf: (classId: string) => Pupil[];
}

/**
 * All open rooms, each read from the database when it is first asked for. A room that has ended, or whose class is gone,
 * leaves memory; a review reads the database.
 */
export class RoomDirectory {
  readonly queries;
  readonly tokens = new DeskTokens();
  private readonly rooms = new Map<string, LiveRoom>();
  private readonly needs: RoomNeeds;

  constructor(private readonly options: DirectoryOptions) {
    const { store, nowMs } = options;
    this.queries = liveQueries(store.db);
    this.needs = { queries: this.queries, commit: groupCommit(store.sqlite), nowMs, onEnded: (room) => this.forget(room) };
  }

  /** How many rooms are in memory. */
  get size(): number {
    return this.rooms.size;
  }

  /**
   * Opens a room under an id that the console made. The same start sent again gives the same session.
   * @param lesson the pinned version that will be taught
   * @throws CoreError SESSION_ID_TAKEN
   */
  open(start: SessionStart, teacherId: string, lesson: { readonly version: number; readonly file: Lesson }): SessionDetail {
    const known = this.queries.session(start.id)?.session;
    if (known && known.teacherId !== teacherId) {
      throw new CoreError('SESSION_ID_TAKEN', 'This session id is in use already; please start again.');
    }
    if (!known) {
      const room = newRoom(prepareLesson(lesson.file));
      this.queries.insertSession({
        ...start,
        teacherId,
        lessonVersion: lesson.version,
        roomKey: this.freeKey(),
        title: lesson.file.title,
        phase: room.phase,
        room: writeRoomState(room),
        createdAtMs: this.options.nowMs(),
        endedAtMs: null,
      });
    }
    return this.detail(start.id, teacherId);
  }

  /** An open room; undefined where there is none, or where it has ended. */
  find(sessionId: string): LiveRoom | undefined {
    const known = this.rooms.get(sessionId);
    if (known) return known;
    const record = readRecord(this.queries, sessionId);
    return record && record.endedAtMs === null ? this.enter(record) : undefined;
  }

  /** An open room of a teacher. @throws CoreError NOT_FOUND also for the rooms of others, ROOM_NOT_RUNNING for one that has ended */
  own(sessionId: string, teacherId: string): LiveRoom {
    const room = this.find(sessionId);
    if (room?.teacherId === teacherId) return room;
    const session = this.queries.session(sessionId)?.session;
    if (session?.teacherId !== teacherId) throw new CoreError('NOT_FOUND', 'There is no such lesson run among yours.');
    throw new CoreError('ROOM_NOT_RUNNING', 'This lesson has ended; its answers are in the review.');
  }

  /**
   * Carries out a command in a teacher's room. A room that has ended answers as it is to whatever changes nothing there:
   * to a command that was carried out before, and to being ended once more.
   * @throws CoreError NOT_FOUND, ROOM_NOT_RUNNING, or what the command itself throws
   */
  async command(sessionId: string, teacherId: string, { id, command }: CommandPost): Promise<CommandDone> {
    const open = this.find(sessionId);
    const isRepeated = !open && (command.type === 'end' || this.queries.commandKnown(sessionId, id));
    if (!isRepeated) return this.own(sessionId, teacherId).command(id, command);
    const { seq, nowMs, room } = this.detail(sessionId, teacherId).live;
    return { seq, nowMs, room };
  }

  /** A session of a teacher, open or ended. @throws CoreError NOT_FOUND, also for the sessions of others */
  detail(sessionId: string, teacherId: string): SessionDetail {
    const open = this.rooms.get(sessionId);
    if (open?.teacherId === teacherId) return open.detail();
    const record = open ? undefined : readRecord(this.queries, sessionId);
    if (record?.teacherId !== teacherId) throw new CoreError('NOT_FOUND', 'There is no such lesson run among yours.');
    if (record.endedAtMs === null) return this.enter(record).detail();
    return detailOfRecord(record, this.options.pupilsOf(record.classId), this.options.nowMs());
  }

  /** @throws CoreError ROOM_KEY_UNKNOWN */
  byKey(pictures: readonly KeyPicture[]): LiveRoom {
    const id = this.queries.sessionIdByKey(pictures.join(' '));
    const room = id === undefined ? undefined : this.find(id);
    if (!room) throw new CoreError('ROOM_KEY_UNKNOWN', 'No room has these four pictures in this order. Look at them once more.');
    return room;
  }

  /** Frees a pupil's name for another device. */
  release(room: LiveRoom, participantId: string): void {
    room.release(participantId);
    this.tokens.forget((place) => place.participantId === participantId);
  }

  /** A class has changed: its open rooms follow. */
  classChanged(classId: string): void {
    for (const room of this.rooms.values()) {
      if (room.classId !== classId) continue;
      const gone = new Set(room.renewRoster(this.options.pupilsOf(classId)).map(({ id }) => id));
      this.tokens.forget(({ participantId }) => gone.has(participantId));
    }
  }

  /** A class was deleted: its rooms are no more. */
  classDeleted(classId: string): void {
    for (const room of [...this.rooms.values()]) {
      if (room.classId !== classId) continue;
      this.forget(room);
      room.dissolve();
    }
  }

  private enter(record: SessionRecord): LiveRoom {
    const room = new LiveRoom(record, this.options.pupilsOf(record.classId), this.needs);
    this.rooms.set(record.id, room);
    return room;
  }

  private forget(room: LiveRoom): void {
    this.rooms.delete(room.id);
    this.tokens.forget((place) => place.room === room);
  }

  private freeKey(): string {
    for (;;) {
      const key = roomKeyText(drawRoomKey(() => randomInt(2 ** 32) / 2 ** 32));
      if (this.queries.sessionIdByKey(key) === undefined) return key;
    }
  }
}
