import type { PreparedLesson, RoomCommand, RoomState } from '@zeitpunkt/core';
import type {
  CommandDone,
  DeskView,
  Participant,
  Pupil,
  ResponseKept,
  ResponsePost,
  SessionDetail,
  SessionLive,
} from '@zeitpunkt/contract';
import type { GroupCommit } from '../../db/group-commit.js';
import { Answers } from './answers.js';
import { Commands } from './commands.js';
import { deskView, sharedView, type SharedView } from './desk-view.js';
import { Hub, type Listener, type TeacherWindow } from './hub.js';
import type { LiveQueries } from './queries.js';
import { Roster } from './roster.js';
import type { SessionRecord } from './session-record.js';

/** What a room needs from outside. */
export interface RoomNeeds {
  readonly queries: LiveQueries;
  readonly commit: GroupCommit;
  readonly nowMs: () => number;
  /** The room has ended: it leaves memory. */
  readonly onEnded: (room: LiveRoom) => void;
}

/** An open room: who is in it, what they answer, what the teacher tells it, and who is told of it. */
export class LiveRoom {
  readonly id: string;
  readonly classId: string;
  readonly teacherId: string;
  readonly className: string;
  readonly lesson: PreparedLesson;
  private readonly roster: Roster;
  private readonly answers: Answers;
  private readonly commands: Commands;
  private readonly hub: Hub;

  constructor(
    private readonly record: SessionRecord,
    pupils: readonly Pupil[],
    private readonly needs: RoomNeeds,
  ) {
    const { id, lesson, room, participants, responses } = record;
    this.id = id;
    this.classId = record.classId;
    this.teacherId = record.teacherId;
    this.className = record.className;
    this.lesson = lesson;
    this.hub = new Hub((participantId, online) => this.setOnline(participantId, online));
    this.roster = new Roster(id, pupils, participants, needs.queries);
    this.answers = new Answers(id, responses, lesson.lesson.settings, needs, (response) =>
      this.hub.tellEvent((seq) => ({ type: 'response', seq, response })),
    );
    this.commands = new Commands(id, room, lesson, needs, (next, atMs) => this.tellRoom(next, atMs));
  }

  // --- the teacher ---

  /** Carries out a command once; answers with the room as it is then. */
  async command(commandId: string, command: RoomCommand): Promise<CommandDone> {
    await this.commands.carryOut(commandId, command);
    return { seq: this.hub.seq, nowMs: this.needs.nowMs(), room: this.commands.room };
  }

  detail(): SessionDetail {
    const { id, className, roomKey, createdAtMs, unreadable } = this.record;
    const { lesson } = this.lesson;
    return {
      id,
      className,
      roomKey,
      createdAtMs,
      endedAtMs: null,
      lesson,
      pupils: this.roster.pupils,
      live: this.live('console'),
      unreadable,
    };
  }

  live(window: TeacherWindow): SessionLive {
    const everything = window === 'console';
    return {
      seq: this.hub.seq,
      nowMs: this.needs.nowMs(),
      room: this.commands.room,
      participants: everything ? this.roster.all : [],
      responses: everything ? this.answers.all : [],
    };
  }

  /** Frees a pupil's name for another device; the old device goes back to the room key. */
  release(participantId: string): void {
    this.roster.release(participantId, this.needs.nowMs());
    this.hub.tellEvent((seq) => ({ type: 'released', seq, participantId }));
    this.hub.releaseDesk(participantId);
  }

  /** The class has changed: new names are seen everywhere, and deleted pupils leave with all they gave. */
  renewRoster(pupils: readonly Pupil[]): readonly Participant[] {
    const gone = this.roster.renew(pupils);
    this.answers.forget(new Set(gone.map(({ pupilId }) => pupilId)));
    for (const { id } of gone) this.hub.releaseDesk(id);
    this.hub.tellEvent((seq) => ({ type: 'roster', seq, pupils, participants: this.roster.all }));
    this.tellDesks();
    return gone;
  }

  /** The class was deleted, and everything of this room with it. */
  dissolve(): void {
    for (const { id } of this.roster.all) this.hub.releaseDesk(id);
    this.hub.tell(
      { type: 'problem', code: 'NOT_FOUND', detail: 'The class of this room was deleted, and the room with it.' },
      'audience too',
    );
    this.hub.closeAll();
  }

  // --- pupils ---

  pupilsNotIn(): Pupil[] {
    return this.roster.notIn();
  }

  join(participantId: string, pupilId: string, hashOfToken: string): void {
    const participant = this.roster.join(participantId, pupilId, hashOfToken, this.needs.nowMs());
    if (participant) this.hub.tellEvent((seq) => ({ type: 'joined', seq, participant }));
  }

  hasParticipant(participantId: string): boolean {
    return this.roster.has(participantId);
  }

  respond(participantId: string, post: ResponsePost): Promise<ResponseKept> {
    const asking = this.commands.room.run.askings.find(({ id }) => id === post.askingId);
    return this.answers.keep(this.roster.get(participantId).pupilId, post, asking);
  }

  deskView(participantId: string, shared = this.sharedView()): DeskView {
    const { name, pupilId } = this.roster.get(participantId);
    return deskView(shared, { participantId, pupilName: name }, (askingId) => this.answers.latestOf(pupilId, askingId));
  }

  // --- who listens ---

  listen(window: TeacherWindow, listener: Listener): () => void {
    return this.hub.listen(window, listener);
  }

  listenDesk(participantId: string, listener: Listener): () => void {
    return this.hub.listenDesk(participantId, listener);
  }

  private setOnline(participantId: string, online: boolean): void {
    if (this.roster.setOnline(participantId, online)) this.hub.tell({ type: 'presence', participantId, online });
  }

  private tellRoom(room: RoomState, nowMs: number): void {
    this.hub.tellEvent((seq) => ({ type: 'room', seq, nowMs, room }), 'audience too');
    this.tellDesks();
    if (room.phase !== 'ended') return;
    this.hub.closeAll();
    this.needs.onEnded(this);
  }

  /** What all desks are told alike is made once for all of them. */
  private sharedView(): SharedView {
    const { lesson, className } = this;
    return sharedView({ lesson, room: this.commands.room, seq: this.hub.seq, className }, this.needs.nowMs());
  }

  private tellDesks(): void {
    const shared = this.sharedView();
    this.hub.tellDesks((participantId) => this.deskView(participantId, shared));
  }
}
