import {
  applyCommand,
  CoreError,
  kindOf,
  NEW_ROOM,
  prepareLesson,
  readPictures,
  type KeyPicture,
  type Lesson,
  type PreparedLesson,
  type Response,
  type RoomCommand,
  type RoomState,
} from '@zeitpunkt/core';
import type {
  CommandDone,
  DeskView,
  MarkedResponse,
  Participant,
  Pupil,
  ResponseKept,
  ResponsePost,
  SessionDetail,
  SessionLive,
  TeacherMessage,
} from '@zeitpunkt/contract';
import type { GroupCommit } from '../../db/group-commit.js';
import { deskView, sharedView, type SharedView } from './desk-view.js';
import { plain } from './plain.js';
import type { LiveQueries } from './queries.js';

/** What a room needs from outside. */
export interface RoomNeeds {
  readonly queries: LiveQueries;
  readonly commit: GroupCommit;
  readonly nowMs: () => number;
}

/** A window that listens. `send` takes the message as JSON text. */
export interface Listener {
  send(text: string): void;
}

/** A pupil's desk that listens, and the way to close it. */
export interface DeskListener extends Listener {
  close(): void;
}

/**
 * A live room: the state machine of the core with its pupils and responses, written to the database before anybody is
 * told, so that a restarted server goes on where it was.
 */
export class LiveRoom {
  readonly teacherId: string;
  readonly id: string;
  readonly className: string;
  readonly lesson: PreparedLesson;
  private readonly roomKey: readonly KeyPicture[];
  private readonly createdAtMs: number;
  private endedAtMs: number | null;
  private room: RoomState;
  private seq = 0;
  private readonly participants = new Map<string, Participant>();
  private readonly responses = new Map<string, MarkedResponse>();
  /** Latest response by pupil and item. */
  private readonly latest = new Map<string, MarkedResponse>();
  private readonly onTheWay = new Map<string, Promise<ResponseKept>>();
  private readonly attempts = new Map<string, number>();
  /** How many commands have changed the room. */
  private events: number;
  /** The last command that was sent; each waits for the one before it. */
  private carriedOut: Promise<unknown> = Promise.resolve();
  private readonly consoles = new Set<Listener>();
  private readonly audiences = new Set<Listener>();
  private readonly desks = new Map<string, Set<DeskListener>>();

  constructor(
    row: NonNullable<ReturnType<LiveQueries['session']>>,
    readonly pupils: readonly Pupil[],
    private readonly needs: RoomNeeds,
  ) {
    const { session } = row;
    this.id = session.id;
    this.teacherId = session.teacherId;
    this.className = row.className;
    this.lesson = prepareLesson(JSON.parse(row.file) as Lesson);
    this.roomKey = readPictures(session.roomKey ?? '').pictures;
    this.createdAtMs = session.createdAtMs;
    this.endedAtMs = session.endedAtMs;
    this.events = needs.queries.eventCount(session.id);
    // A room of an earlier version lacks what was added since.
    this.room = { ...NEW_ROOM, ...(JSON.parse(session.room) as Partial<RoomState>) };
    for (const { id, pupilId, joinedAtMs } of needs.queries.participants(this.id)) {
      this.participants.set(id, { id, pupilId, joinedAtMs, name: this.pupilName(pupilId), online: false });
    }
    for (const stored of needs.queries.responses(this.id)) {
      const { id, pupilId, itemId, attempt, responseTimeMs, receivedAtMs } = stored;
      this.remember({
        id,
        pupilId,
        itemId,
        attempt,
        response: JSON.parse(stored.given) as Response,
        mark: JSON.parse(stored.mark) as MarkedResponse['mark'],
        responseTimeMs,
        receivedAtMs,
      });
    }
  }

  // --- the teacher ---

  /** Carries out a command once, after those before it; sent again it only answers with the room as it is. */
  command(commandId: string, command: RoomCommand): Promise<CommandDone> {
    const done = this.carriedOut.then(() => this.carryOut(commandId, command));
    this.carriedOut = done.catch(() => undefined); // whoever sent it is told; the next one is carried out all the same
    return done;
  }

  private async carryOut(commandId: string, command: RoomCommand): Promise<CommandDone> {
    const { queries, commit, nowMs } = this.needs;
    const atMs = nowMs();
    const next = queries.commandKnown(this.id, commandId) ? this.room : applyCommand(this.room, command, this.lesson, atMs);
    if (next !== this.room) {
      const endedAtMs = next.phase === 'ended' ? atMs : null;
      const event = { sessionId: this.id, seq: this.events + 1, commandId, command: JSON.stringify(forTheRecord(command)), atMs };
      await commit(() => {
        queries.saveRoom(this.id, next);
        if (endedAtMs !== null) queries.end(this.id, endedAtMs);
        queries.insertEvent(event);
      });
      this.events = event.seq;
      this.room = next;
      this.endedAtMs = endedAtMs;
      this.seq += 1;
      this.tellTeacher({ type: 'room', seq: this.seq, nowMs: atMs, room: plain(next) }, 'audience too');
      this.tellDesks();
    }
    return { seq: this.seq, nowMs: nowMs(), room: plain(this.room) };
  }

  detail(): SessionDetail {
    return {
      id: this.id,
      className: this.className,
      roomKey: this.endedAtMs === null ? [...this.roomKey] : null,
      createdAtMs: this.createdAtMs,
      endedAtMs: this.endedAtMs,
      lesson: this.lesson.lesson as SessionDetail['lesson'],
      pupils: [...this.pupils],
      live: this.live('console'),
    };
  }

  live(window: 'console' | 'audience'): SessionLive {
    const everything = window === 'console';
    return {
      seq: this.seq,
      nowMs: this.needs.nowMs(),
      room: plain(this.room),
      participants: everything ? [...this.participants.values()] : [],
      responses: everything ? [...this.responses.values()] : [],
    };
  }

  /** Frees a pupil's name for another device; the old device goes back to the room key. */
  release(participantId: string): void {
    if (!this.participants.has(participantId)) throw new CoreError('PUPIL_UNKNOWN', 'This pupil is not in the room any more.');
    this.needs.queries.release(participantId, this.needs.nowMs());
    this.participants.delete(participantId);
    this.seq += 1;
    this.tellTeacher({ type: 'released', seq: this.seq, participantId });
    for (const desk of this.desks.get(participantId) ?? []) {
      desk.send(JSON.stringify({ type: 'released' }));
      desk.close();
    }
    this.desks.delete(participantId);
  }

  // --- pupils ---

  isOpen(): boolean {
    return this.room.phase !== 'ended';
  }

  pupilsNotIn(): Pupil[] {
    const taken = new Set([...this.participants.values()].map((one) => one.pupilId));
    return this.pupils.filter((one) => !taken.has(one.id));
  }

  /** Lets a pupil in. The same join sent again gives the device a new token, not a second place. */
  join(participantId: string, pupilId: string, hashOfToken: string): void {
    const known = this.participants.get(participantId);
    if (known?.pupilId === pupilId) return void this.needs.queries.setToken(participantId, hashOfToken);
    const pupil = this.pupils.find((one) => one.id === pupilId);
    if (!pupil) throw new CoreError('PUPIL_UNKNOWN', 'This class has no such pupil. Please choose a name from the list.');
    if (!this.pupilsNotIn().includes(pupil)) {
      throw new CoreError('NAME_TAKEN', `${pupil.name} is in the room already. Choose your own name, or ask your teacher to free it.`);
    }
    const joinedAtMs = this.needs.nowMs();
    this.needs.queries.insertParticipant({
      id: participantId,
      sessionId: this.id,
      pupilId,
      tokenHash: hashOfToken,
      joinedAtMs,
      releasedAtMs: null,
    });
    const joined: Participant = { id: participantId, pupilId, name: pupil.name, joinedAtMs, online: false };
    this.participants.set(participantId, joined);
    this.seq += 1;
    this.tellTeacher({ type: 'joined', seq: this.seq, participant: joined });
  }

  hasParticipant(participantId: string): boolean {
    return this.participants.has(participantId);
  }

  /**
   * Marks and keeps a response; resolves once it is on the disk. The same response sent again is acknowledged again,
   * even when the question has closed meanwhile.
   */
  respond(participantId: string, post: ResponsePost): Promise<ResponseKept> {
    const { pupilId } = this.participants.get(participantId)!;
    const known = this.responses.get(post.id);
    if (known) {
      if (known.pupilId !== pupilId || known.itemId !== post.itemId) {
        throw new CoreError('RESPONSE_ID_TAKEN', 'This response carries an id that another response has already.');
      }
      return Promise.resolve(keptOf(known));
    }
    const pending = this.onTheWay.get(post.id);
    if (pending) return pending;

    const marked = this.mark(pupilId, post);
    const { response, mark, ...rest } = marked;
    const kept = this.needs
      .commit(() =>
        this.needs.queries.insertResponse({ ...rest, sessionId: this.id, given: JSON.stringify(response), mark: JSON.stringify(mark) }),
      )
      .then(() => {
        this.remember(marked);
        this.seq += 1;
        this.tellTeacher({ type: 'response', seq: this.seq, response: marked });
        return keptOf(marked);
      })
      .finally(() => this.onTheWay.delete(post.id));
    this.onTheWay.set(post.id, kept);
    return kept;
  }

  deskView(participantId: string, shared = this.sharedView()): DeskView {
    const { name, pupilId } = this.participants.get(participantId)!;
    return deskView(shared, { participantId, pupilName: name }, (itemId) => this.latest.get(`${pupilId} ${itemId}`));
  }

  // --- who listens ---

  listen(window: 'console' | 'audience', listener: Listener): () => void {
    const set = window === 'console' ? this.consoles : this.audiences;
    set.add(listener);
    return () => set.delete(listener);
  }

  listenDesk(participantId: string, listener: DeskListener): () => void {
    const set = this.desks.get(participantId) ?? new Set();
    this.desks.set(participantId, set.add(listener));
    this.setOnline(participantId);
    return () => {
      set.delete(listener);
      this.setOnline(participantId);
    };
  }

  private setOnline(participantId: string): void {
    const one = this.participants.get(participantId);
    const online = (this.desks.get(participantId)?.size ?? 0) > 0;
    if (!one || one.online === online) return;
    this.participants.set(participantId, { ...one, online });
    this.tellTeacher({ type: 'presence', participantId, online });
  }

  private tellTeacher(message: TeacherMessage, reach: 'console only' | 'audience too' = 'console only'): void {
    const text = JSON.stringify(message);
    for (const listener of this.consoles) listener.send(text);
    if (reach === 'audience too') for (const listener of this.audiences) listener.send(text);
  }

  private sharedView(): SharedView {
    const { lesson, room, seq, className } = this;
    return sharedView({ lesson, room, seq, className }, this.needs.nowMs());
  }

  private tellDesks(): void {
    const shared = this.sharedView();
    for (const [participantId, listeners] of this.desks) {
      if (listeners.size === 0) continue;
      const text = JSON.stringify({ type: 'view', view: this.deskView(participantId, shared) });
      for (const listener of listeners) listener.send(text);
    }
  }

  private mark(pupilId: string, post: ResponsePost): MarkedResponse {
    const phase = this.room.questions[post.itemId];
    if (phase !== 'open') throw new CoreError('QUESTION_NOT_OPEN', 'This question is not open any more, so the answer was not taken.');
    const item = this.lesson.context.itemOf(post.itemId);
    if (item.kind !== post.response.kind) {
      throw new CoreError('RESPONSE_SHAPE', `This question takes a response of the kind ${item.kind}, but ${post.response.kind} came.`);
    }
    const place = `${pupilId} ${post.itemId}`;
    const attempt = (this.attempts.get(place) ?? 0) + 1;
    this.attempts.set(place, attempt);
    const mark = kindOf(item).mark(item, post.response, this.lesson.lesson.settings);
    return { ...post, pupilId, attempt, mark: { ...mark, misconceptions: [...mark.misconceptions] }, receivedAtMs: this.needs.nowMs() };
  }

  private remember(marked: MarkedResponse): void {
    const place = `${marked.pupilId} ${marked.itemId}`;
    this.responses.set(marked.id, marked);
    if ((this.latest.get(place)?.attempt ?? 0) < marked.attempt) this.latest.set(place, marked);
    this.attempts.set(place, Math.max(this.attempts.get(place) ?? 0, marked.attempt));
  }

  private pupilName(pupilId: string): string {
    return this.pupils.find((one) => one.id === pupilId)?.name ?? '';
  }
}

/** Hands that are dragged make many commands: of the pointing beside the script only the time is recorded. */
function forTheRecord(command: RoomCommand): unknown {
  return command.type === 'aside' ? { type: 'aside', timeSec: command.aside?.timeSec ?? null } : command;
}

function keptOf({ id, itemId, attempt, receivedAtMs }: MarkedResponse): ResponseKept {
  return { id, itemId, attempt, receivedAtMs };
}
