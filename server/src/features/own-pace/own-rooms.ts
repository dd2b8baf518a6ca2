import { CoreError } from '@zeitpunkt/core/errors';
import { writeRoomState } from '@zeitpunkt/core/formats/stored';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson, type PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import { type RoomState, newRoom } from '@zeitpunkt/core/live/room';
import { type KeyPicture, LASTING_KEY_LENGTH } from '@zeitpunkt/core/live/room-key';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import type { CardRead, OwnPaceChange, OwnPaceDetail, OwnPaceProgress, OwnPaceStart } from '@zeitpunkt/contract';
import type { Store } from '../../db/connection.js';
import { type Events, listenTo } from '../../events.js';
import { pupilsOf } from '../../sessions/queries/pupils.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';
import { readAttempts, readRecord, readSession, type SessionFrame, type SessionRecord } from '../../sessions/session-record.js';
import { mustBeDays } from './own-days.js';
import { OwnRoom, type OwnRoomNeeds } from './own-room.js';
import { ownPaceQueries } from './queries.js';
import type { ownPace } from '../../tables/own-pace.js';

export interface OwnRoomsOptions {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly rooms: RoomDirectory;
  readonly events: Events;
}

/** All lessons that were given out and are not over, each read from the database when it is first asked for. */
export class OwnRooms {
  private readonly open = new Map<string, OwnRoom>();
  private readonly own;
  private readonly needs: OwnRoomNeeds;

  constructor(private readonly options: OwnRoomsOptions) {
    this.own = ownPaceQueries(options.store.db);
    this.needs = { ...options.rooms.needs, own: this.own };
    listenTo(options.events, {
      classChanged: ({ classId, merged }) => this.classChanged(classId, merged),
      classDeleted: ({ classId }) => this.classDeleted(classId),
      classHandedOver: ({ classId }) => this.classHandedOver(classId),
      wordingsChanged: ({ classId }) => this.wordingsChanged(classId),
      responseCorrected: ({ sessionId, responseId }) => this.open.get(sessionId)?.corrected(responseId),
      takesChanged: ({ lessonId }) => this.takesChanged(lessonId),
    });
  }

  /**
   * Gives a lesson out. The same start sent again gives the same session.
   * @throws CoreError OWN_PACE_DAYS, SESSION_ID_TAKEN, PUPIL_UNKNOWN
   */
  give(start: OwnPaceStart, teacherId: string, lesson: { readonly version: number; readonly file: Lesson }): OwnPaceDetail {
    const { id, lessonId, classId, pupilIds, firstDay, lastDay, byKey, voice } = start;
    const { queries } = this.options.rooms;
    const known = queries.sessionHead(id);
    if (known && known.teacherId !== teacherId)
      throw new CoreError('SESSION_ID_TAKEN', 'This session id is in use already; please try again.');
    if (!known) {
      mustBeDays({ firstDay, lastDay }, dayOf(this.options.nowMs()));
      const inClass = pupilsOf(this.options.store.db, classId).map((pupil) => pupil.id);
      if (pupilIds?.some((pupilId) => !inClass.includes(pupilId))) throw new CoreError('PUPIL_UNKNOWN', 'This class has no such pupil.');
      this.options.store.sqlite.transaction(() => {
        queries.insertSession({
          id,
          lessonId,
          classId,
          teacherId,
          lessonVersion: lesson.version,
          pace: 'own',
          roomKey: this.options.rooms.doors.freeKey(LASTING_KEY_LENGTH),
          title: lesson.file.title,
          phase: 'running',
          room: writeRoomState(askedInAll(prepareLesson(lesson.file), 'running')),
          createdAtMs: this.options.nowMs(),
          endedAtMs: null,
        });
        this.own.insert({ sessionId: id, firstDay, lastDay, byKey, voice, toAll: pupilIds === null }, pupilIds ?? inClass);
      })();
    }
    return this.detail(id, teacherId);
  }

  /** A lesson that was given out and is not over; undefined where there is none. */
  find(sessionId: string): OwnRoom | undefined {
    const known = this.open.get(sessionId);
    if (known) return known;
    const given = this.own.find(sessionId);
    if (!given || this.options.rooms.queries.sessionHead(sessionId)?.endedAtMs !== null) return undefined;
    const room = new OwnRoom(this.mustRead(sessionId), given, this.needs);
    this.open.set(sessionId, room);
    return room;
  }

  /** The lesson that a key opens, if pupils may come in by key. */
  byKey(pictures: readonly KeyPicture[]): OwnRoom | undefined {
    if (pictures.length !== LASTING_KEY_LENGTH) return undefined;
    const id = this.options.rooms.queries.sessionIdByKey(pictures.join(' '));
    const room = id === undefined ? undefined : this.find(id);
    return room?.isByKey ? room : undefined;
  }

  /** What a pupil can do at own pace now, or soon. */
  lessonsOf(pupilId: string): CardRead['lessons'] {
    const today = dayOf(this.options.nowMs());
    return this.own.givenTo(pupilId).flatMap(({ sessionId, title, firstDay, lastDay, finishedAtMs }) => {
      if (lastDay < today) return [];
      return [{ sessionId, title, own: { firstDay, lastDay, open: firstDay <= today, done: finishedAtMs !== null } }];
    });
  }

  /** @throws CoreError NOT_FOUND, also for what others gave out */
  detail(sessionId: string, teacherId: string): OwnPaceDetail {
    const { frame, given } = this.mustOwn(sessionId, teacherId);
    const { id, lessonId, classId, className, roomKey, endedAtMs } = frame;
    const room = this.roomOf(sessionId, given);
    const isOpen = endedAtMs === null;
    const live = { ...room.live(), endedAtMs };
    return { id, lessonId, classId, className, roomKey: isOpen && given.byKey ? roomKey : null, lesson: frame.lesson.lesson, live };
  }

  /** @throws CoreError NOT_FOUND, also for what others gave out */
  progress(sessionId: string, teacherId: string): OwnPaceProgress {
    return this.roomOf(sessionId, this.mustOwn(sessionId, teacherId).given).progress();
  }

  /**
   * Changes when a lesson is open, and whether by key; a later last day opens one again that is over.
   * @throws CoreError NOT_FOUND, OWN_PACE_DAYS
   */
  change(sessionId: string, teacherId: string, change: OwnPaceChange): OwnPaceDetail {
    const { frame, given } = this.mustOwn(sessionId, teacherId);
    const next = { ...given, ...change };
    const today = dayOf(this.options.nowMs());
    mustBeDays(next, today);
    this.own.change(sessionId, change);
    if (frame.endedAtMs !== null) {
      const room = writeRoomState(askedInAll(frame.lesson, 'running'));
      this.own.setEnded(sessionId, { endedAtMs: null, room });
      this.renewShortKeys(); // of one that ended before keys stayed
    }
    this.find(sessionId)?.change(next);
    return this.detail(sessionId, teacherId);
  }

  /** Writes one line to a pupil, or to all. @throws CoreError NOT_FOUND, PUPIL_UNKNOWN */
  write(sessionId: string, teacherId: string, pupilId: string | null, line: string): OwnPaceDetail {
    const { given } = this.mustOwn(sessionId, teacherId);
    const room = this.find(sessionId);
    if (!room) throw new CoreError('ROOM_NOT_RUNNING', 'This lesson is over; nobody would read that.');
    if (pupilId !== null) room.write(pupilId, line);
    else {
      this.own.change(sessionId, { line });
      room.change({ ...given, line });
    }
    return this.detail(sessionId, teacherId);
  }

  /** Ends a lesson before its last day. @throws CoreError NOT_FOUND */
  end(sessionId: string, teacherId: string): OwnPaceDetail {
    const { frame } = this.mustOwn(sessionId, teacherId);
    if (frame.endedAtMs === null) this.endFrame(frame);
    return this.detail(sessionId, teacherId);
  }

  /** Ends every lesson whose last day is over. Returns how many. */
  endOver(): number {
    this.renewShortKeys();
    const over = this.own.over(dayOf(this.options.nowMs()));
    for (const { id } of over) this.endFrame(readSession(this.options.rooms.queries, id)!);
    return over.length;
  }

  /** The recording of a lesson has changed. */
  private takesChanged(lessonId: string): void {
    for (const room of this.open.values()) if (room.lessonId === lessonId) room.takesChanged();
  }

  /** A class has changed: where a lesson was given to all of it, whoever is new has a place in it. */
  private classChanged(classId: string, merged: boolean): void {
    for (const { id, toAll } of this.own.openOf(classId)) {
      if (toAll) {
        this.own.addPlaces(
          id,
          pupilsOf(this.options.store.db, classId).map((pupil) => pupil.id),
        );
      }
      const room = this.open.get(id);
      room?.renew();
      if (merged) room?.readAgain(readAttempts(this.options.rooms.queries, id).responses);
    }
  }

  /** Other wordings count in a class now. */
  private wordingsChanged(classId: string): void {
    for (const room of this.open.values()) if (room.classId === classId) room.wordingsChanged();
  }

  private classDeleted(classId: string): void {
    for (const room of [...this.open.values()]) {
      if (room.classId !== classId) continue;
      this.forget(room);
      room.dissolve();
    }
  }

  /** Another teacher's now: desks and windows come back to the room as it is read anew. */
  private classHandedOver(classId: string): void {
    for (const room of [...this.open.values()]) {
      if (room.classId !== classId) continue;
      this.forget(room);
      room.close();
    }
  }

  /** Lessons that were given out with four pictures, before there were six, get new ones. */
  private renewShortKeys(): void {
    const { rooms } = this.options;
    for (const { id, roomKey } of this.own.openKeys()) {
      if (roomKey?.split(' ').length !== LASTING_KEY_LENGTH) this.own.setKey(id, rooms.doors.freeKey(LASTING_KEY_LENGTH));
    }
  }

  /** Gives a pupil's place up on the device that has it, so that the pupil can come in by key on another one. @throws CoreError NOT_FOUND, PUPIL_UNKNOWN */
  free(sessionId: string, teacherId: string, pupilId: string): OwnPaceDetail {
    this.mustOwn(sessionId, teacherId);
    this.find(sessionId)?.free(pupilId);
    return this.detail(sessionId, teacherId);
  }

  /** The room as it runs, or as it was left. */
  private roomOf(sessionId: string, given: typeof ownPace.$inferSelect): OwnRoom {
    return this.find(sessionId) ?? new OwnRoom(this.mustRead(sessionId), given, this.needs);
  }

  private mustOwn(sessionId: string, teacherId: string) {
    this.options.rooms.head(sessionId, teacherId);
    const given = this.own.find(sessionId);
    if (!given) throw new CoreError('NOT_FOUND', 'There is no such lesson at own pace among yours.');
    return { given, frame: readSession(this.options.rooms.queries, sessionId)! };
  }

  private mustRead(sessionId: string): SessionRecord {
    return readRecord(this.options.rooms.queries, sessionId)!;
  }

  private endFrame({ id, lesson }: SessionFrame): void {
    const room = this.find(id);
    const endedAtMs = this.options.nowMs();
    this.own.setEnded(id, { endedAtMs, room: writeRoomState(askedInAll(lesson, 'ended')) });
    if (!room) return;
    this.forget(room);
    room.close();
  }

  private forget(room: OwnRoom): void {
    this.open.delete(room.id);
    this.options.rooms.tokens.forget((place) => place.room === room);
  }
}

/**
 * The room that stands for a lesson at own pace, as reviews read it: all that it asks was asked, of each pupil when they came to
 * it.
 */
function askedInAll(prepared: PreparedLesson, phase: 'running' | 'ended'): RoomState {
  const room = newRoom(prepared);
  const askings = prepared.lesson.beats.flatMap((beat) => {
    if (beat.kind !== 'ask' || prepared.aloud.has(beat.itemId)) return [];
    return [{ id: beat.itemId, item: prepared.context.itemOf(beat.itemId), phase: 'revealed' as const, closedAtMs: null }];
  });
  const once = askings.filter(({ id }, index) => askings.findIndex((one) => one.id === id) === index);
  return { ...room, phase, run: { ...room.run, askings: once }, endedBy: null };
}
