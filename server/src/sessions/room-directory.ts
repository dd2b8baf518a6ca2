import { CoreError } from '@zeitpunkt/core/errors';
import { writeRoomState } from '@zeitpunkt/core/formats/stored';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { newRoom, SILENCE_MS } from '@zeitpunkt/core/live/room';
import type {
  CommandDone,
  CommandPost,
  MarkedResponse,
  ResponseEntered,
  ResponseKept,
  ResponsePost,
  SessionDetail,
  SessionStart,
  TeacherMessage,
} from '@zeitpunkt/contract';
import { randomUUID } from 'node:crypto';
import type { Store } from '../db/connection.js';
import { groupCommit } from '../db/group-commit.js';
import { type Events, listenTo } from '../events.js';
import type { FailedTries } from '../http/failed-tries.js';
import type { Json, Work } from '../work/work.js';
import { responseOfRow } from './response-rows.js';
import { DeskTokens } from './desk-tokens.js';
import { EndedLessons } from './ended-lessons.js';
import { LiveRoom, type RoomNeeds } from './live-room.js';
import { RoomDoors } from './room-doors.js';
import { sessionQueries } from './queries.js';
import { pupilsOf } from './queries/pupils.js';
import { takesOf } from './queries/takes.js';
import { readAttempts, readRecord, readSession, type SessionRecord } from './session-record.js';

export interface DirectoryOptions {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly work: Work;
  readonly events: Events;
  /** So often a pupil may answer one question. */
  readonly mostAttempts: number;
  /** Of room keys. */
  readonly keyTries: Pick<FailedTries, 'wrongLately'>;
}

/**
 * All open rooms, each read from the database when it is first asked for. A room that has ended, or whose class is gone,
 * leaves memory; a review reads the database.
 */
export class RoomDirectory {
  readonly queries;
  readonly tokens = new DeskTokens();
  readonly doors: RoomDoors;
  private readonly rooms = new Map<string, LiveRoom>();
  private readonly ended;
  /** What every room needs, of either pace; writes of all of them share transactions. */
  readonly needs: RoomNeeds;

  constructor(private readonly options: DirectoryOptions) {
    const { store, events, nowMs, keyTries, mostAttempts } = options;
    this.queries = sessionQueries(store.db);
    this.doors = new RoomDoors(this.queries, (id) => this.find(id));
    const onEnded = (room: LiveRoom) => this.forget(room);
    const onReleased = (participantId: string) => this.tokens.forget((place) => place.participantId === participantId);
    const commit = groupCommit(store.sqlite);
    const wrongKeys = () => keyTries.wrongLately;
    const takes = (lessonId: string) => takesOf(store.db, lessonId);
    this.needs = { queries: this.queries, commit, nowMs, mostAttempts, wrongKeys, takesOf: takes, onReleased, onEnded };
    this.ended = new EndedLessons(this.needs);
    listenTo(events, {
      classChanged: ({ classId, merged }) => this.classChanged(classId, merged),
      classDeleted: ({ classId }) => this.classDeleted(classId),
      wordingsChanged: ({ classId }) => this.wordingsChanged(classId),
      responseCorrected: ({ sessionId, responseId }) => this.rooms.get(sessionId)?.corrected(responseId),
      takesChanged: ({ lessonId }) => this.takesChanged(lessonId),
    });
  }

  /** How many rooms are in memory. */
  get size(): number {
    return this.rooms.size;
  }

  /**
   * Opens a room under an id that the console made. The same start sent again gives the same session. Whether pupils wait at
   * its door is as it last was with this class.
   * @param lesson the pinned version that will be taught
   * @throws CoreError SESSION_ID_TAKEN
   */
  open(start: SessionStart, teacherId: string, lesson: { readonly version: number; readonly file: Lesson }): void {
    const known = this.queries.sessionHead(start.id);
    if (known && known.teacherId !== teacherId) {
      throw new CoreError('SESSION_ID_TAKEN', 'This session id is in use already; please start again.');
    }
    if (!known) {
      const room = newRoom(prepareLesson(lesson.file), this.queries.doorAdmitsOf(start.classId));
      this.queries.insertSession({
        ...start,
        teacherId,
        lessonVersion: lesson.version,
        roomKey: this.doors.freeKey(),
        title: lesson.file.title,
        phase: room.phase,
        room: writeRoomState(room),
        createdAtMs: this.options.nowMs(),
        endedAtMs: null,
      });
    }
  }

  /** An open room; undefined where there is none, or where it has ended. */
  find(sessionId: string): LiveRoom | undefined {
    const known = this.rooms.get(sessionId);
    if (known) return known;
    const head = this.queries.sessionHead(sessionId);
    return head?.pace === 'live' && head.endedAtMs === null ? this.enter(readRecord(this.queries, sessionId)!) : undefined;
  }

  /** A session of a teacher, without what it holds. @throws CoreError NOT_FOUND, also for the sessions of others */
  head(sessionId: string, teacherId: string): { readonly id: string } {
    const teacher = this.rooms.get(sessionId)?.teacherId ?? this.queries.sessionHead(sessionId)?.teacherId;
    if (teacher !== teacherId) throw new CoreError('NOT_FOUND', 'There is no such lesson run among yours.');
    return { id: sessionId };
  }

  /** An open room of a teacher. @throws CoreError NOT_FOUND also for the rooms of others, ROOM_NOT_RUNNING for one that has ended */
  own(sessionId: string, teacherId: string): LiveRoom {
    const room = this.find(sessionId);
    if (room?.teacherId === teacherId) return room;
    this.head(sessionId, teacherId);
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
    if (!isRepeated) {
      const room = this.own(sessionId, teacherId);
      const done = await room.command(id, command);
      if (command.type === 'door-admits') this.queries.setDoorAdmits(room.classId, command.admits);
      return done;
    }
    this.head(sessionId, teacherId);
    return { seq: 0, nowMs: this.options.nowMs(), room: readSession(this.queries, sessionId)!.room };
  }

  /**
   * A session of a teacher with every attempt, open or ended; one that has ended is written out already.
   * @throws CoreError NOT_FOUND, also for the sessions of others
   */
  async detail(sessionId: string, teacherId: string): Promise<SessionDetail | Json<SessionDetail>> {
    this.head(sessionId, teacherId);
    const { work, nowMs } = this.options;
    const attempts = this.find(sessionId) ? await work.ask('attempts', sessionId) : [];
    // It may have ended meanwhile.
    return this.find(sessionId)?.detail(attempts) ?? work.json('session', sessionId, nowMs());
  }

  /** The last thing to say on a line to a session that has ended. */
  lastWord(sessionId: string): Promise<Json<TeacherMessage>> {
    return this.options.work.json('lastWord', sessionId, this.options.nowMs());
  }

  /** Ends every room in which nothing was heard for three hours. Returns how many. */
  async endSilent(): Promise<number> {
    const beforeMs = this.options.nowMs() - SILENCE_MS;
    const silent = this.queries.openSince(beforeMs).filter(({ id }) => this.queries.heardAtMs(id) < beforeMs);
    for (const { id } of silent) await this.find(id)?.command(randomUUID(), { type: 'silence' });
    return silent.length;
  }

  /** A wrong key was tried: the teachers of open rooms see how many. */
  wrongKeyTried(): void {
    for (const room of this.rooms.values()) room.door.tellOutside();
  }

  /**
   * Keeps a response that comes when its lesson has ended: given in time perhaps, and late in any case.
   * @throws CoreError QUESTION_NOT_OPEN, RESPONSE_SHAPE, RESPONSE_ID_TAKEN
   */
  async keepAfterEnd(place: { readonly sessionId: string; readonly pupilId: string }, post: ResponsePost): Promise<ResponseKept> {
    return this.ended.keep(place.sessionId, place.pupilId, post);
  }

  /** Lets a late response of a teacher's session count, or not. @throws CoreError NOT_FOUND */
  count(sessionId: string, teacherId: string, responseId: string, counted: boolean): void {
    this.head(sessionId, teacherId);
    const open = this.find(sessionId);
    if (open) open.count(responseId, counted);
    else this.ended.count(sessionId, responseId, counted);
  }

  /** Other wordings count in a class now: its open rooms mark by them. */
  private wordingsChanged(classId: string): void {
    this.ended.forgetClass(classId);
    for (const room of this.rooms.values()) if (room.classId === classId) room.wordingsChanged();
  }

  /** Whether a lesson of a class that the teacher leads is open now. */
  isOpenFor(classId: string): boolean {
    return [...this.rooms.values()].some((room) => room.classId === classId);
  }

  /** The open rooms of a class, the newest first. */
  openRoomsOf(classId: string): { readonly id: string; readonly title: string }[] {
    return this.queries.openSessionsOf(classId);
  }

  /**
   * Keeps an answer that the teacher has on paper or heard, while the lesson runs or after it.
   * @returns the answer as it is marked
   * @throws CoreError NOT_FOUND, PUPIL_UNKNOWN, QUESTION_NOT_OPEN, RESPONSE_SHAPE
   */
  async enterResponse(sessionId: string, teacherId: string, entered: ResponseEntered): Promise<MarkedResponse> {
    this.head(sessionId, teacherId);
    const { classId } = this.queries.sessionHead(sessionId)!;
    if (!pupilsOf(this.options.store.db, classId).some(({ id }) => id === entered.pupilId)) {
      throw new CoreError('PUPIL_UNKNOWN', 'This class has no such pupil.');
    }
    const open = this.find(sessionId);
    if (open) await open.enter(entered);
    else await this.ended.keep(sessionId, entered.pupilId, postOf(entered), entered.source);
    return responseOfRow(this.queries.response(entered.id)!, 'the pupil', this.queries.correctionOf(entered.id));
  }

  /** Takes an answer back that was entered so. @throws CoreError NOT_FOUND */
  takeBack(sessionId: string, teacherId: string, responseId: string): void {
    this.head(sessionId, teacherId);
    const open = this.find(sessionId);
    if (open) open.takeBack(responseId);
    else this.ended.takeBack(sessionId, responseId);
  }

  /** A class has changed: its open rooms follow. @param merged two of its pupils became one */
  private classChanged(classId: string, merged: boolean): void {
    this.ended.forgetClass(classId);
    for (const room of this.rooms.values()) {
      if (room.classId !== classId) continue;
      const gone = new Set(room.renewRoster(pupilsOf(this.options.store.db, classId)).map(({ id }) => id));
      this.tokens.forget(({ participantId }) => gone.has(participantId));
      if (merged) room.readAgain(readAttempts(this.queries, room.id).responses);
    }
  }

  /** A class was deleted: its rooms are no more. */
  private classDeleted(classId: string): void {
    this.ended.forgetClass(classId);
    for (const room of [...this.rooms.values()]) {
      if (room.classId !== classId) continue;
      this.forget(room);
      room.dissolve();
    }
  }

  /** The recording of a lesson has changed. */
  private takesChanged(lessonId: string): void {
    for (const room of this.rooms.values()) room.takesChanged(lessonId);
  }

  private enter(record: SessionRecord): LiveRoom {
    const room = new LiveRoom(record, pupilsOf(this.options.store.db, record.classId), this.needs);
    this.rooms.set(record.id, room);
    return room;
  }

  private forget(room: LiveRoom): void {
    this.rooms.delete(room.id);
    this.tokens.forget((place) => place.room === room);
  }
}

function postOf({ id, askingId, response }: ResponseEntered): ResponsePost {
  return { id, askingId, response, responseTimeMs: 0 };
}
