import type { Pose } from '@zeitpunkt/core/dial/pose';
import { CoreError } from '@zeitpunkt/core/errors';
import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import type { RoomCommand, RoomHappening, RoomState } from '@zeitpunkt/core/live/room';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import type { Take } from '@zeitpunkt/core/voice/take';
import type {
  CommandDone,
  DeskView,
  MarkedResponse,
  Participant,
  Pupil,
  ResponseEntered,
  ResponseKept,
  ResponsePost,
  SessionDetail,
  SessionLive,
} from '@zeitpunkt/contract';
import type { GroupCommit } from '../db/group-commit.js';
import { Answers } from './answers.js';
import { Commands } from './commands.js';
import { Hub, type TeacherWindow } from './hub.js';
import { InPassing, NOTHING_IN_PASSING } from './in-passing.js';
import type { Line } from './line.js';
import type { OpenRoom } from './open-room.js';
import type { SessionQueries } from './queries.js';
import { RoomDesks } from './room-desks.js';
import { RoomDoor } from './room-door.js';
import { RoomPlaces } from './room-places.js';
import { Roster, type Coming } from './roster.js';
import { sessionDetail, type SessionRecord } from './session-record.js';

/** What a room needs from outside. */
export interface RoomNeeds {
  readonly queries: SessionQueries;
  readonly commit: GroupCommit;
  readonly nowMs: () => number;
  readonly mostAttempts: number;
  /** What is recorded of a lesson. */
  readonly takesOf: (lessonId: string) => readonly Take[];
  /** How many wrong room keys were tried lately. */
  readonly wrongKeys: () => number;
  /** A place was given up: its device's token opens nothing any more. */
  readonly onReleased: (participantId: string) => void;
  /** The room has ended: it leaves memory. */
  readonly onEnded: (room: LiveRoom) => void;
}

/** An open room: who is in it, what they answer, what the teacher tells it, and who is told of it. */
export class LiveRoom implements OpenRoom {
  readonly id: string;
  readonly classId: string;
  readonly teacherId: string;
  readonly className: string;
  readonly lesson: PreparedLesson;
  /** A school day. */
  readonly deskSeconds = 12 * 3600;
  readonly door: RoomDoor;
  private readonly roster: Roster;
  private readonly answers: Answers;
  private readonly commands: Commands;
  private readonly hub: Hub;
  private readonly passing = new InPassing();
  private readonly desks: RoomDesks;
  private readonly places: RoomPlaces;

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
    this.answers = new Answers(id, responses, lesson.lesson.settings, needs, (_response, json) =>
      this.hub.tellJson((seq) => `{"type":"response","seq":${seq},"response":${json}}`),
    );
    this.passing.follow(room.calls);
    const isAnswered = (askingId: string) => this.answers.isAnswered(askingId);
    this.commands = new Commands(id, room, lesson, { ...needs, isAnswered }, (next, atMs) => this.tellRoom(next, atMs));
    const now = { nowMs: needs.nowMs, hub: this.hub, room: () => this.commands.room };
    this.door = new RoomDoor({ ...now, wrongKeys: needs.wrongKeys });
    this.desks = new RoomDesks({
      ...now,
      lesson,
      className: this.className,
      takes: () => needs.takesOf(record.lessonId),
      roster: this.roster,
      answers: this.answers,
      passing: this.passing,
    });
    this.places = new RoomPlaces({
      nowMs: needs.nowMs,
      roster: this.roster,
      answers: this.answers,
      hub: this.hub,
      door: this.door,
      desks: this.desks,
      passing: this.passing,
      onReleased: needs.onReleased,
    });
  }

  // --- the teacher ---

  /** Carries out a command once; answers with the room as it is then. */
  async command(commandId: string, command: RoomCommand | RoomHappening): Promise<CommandDone> {
    await this.commands.carryOut(commandId, command);
    return { seq: this.hub.seq, nowMs: this.needs.nowMs(), room: this.commands.room };
  }

  /** @param before attempts as they were read a moment ago, where more is wanted than the latest */
  detail(before: readonly MarkedResponse[] = []): SessionDetail {
    return sessionDetail(this.record, {
      endedAtMs: null,
      pupils: this.roster.pupils,
      live: { ...this.live('console'), responses: this.answers.with(before) },
      unreadable: this.record.unreadable,
    });
  }

  live(window: TeacherWindow): SessionLive {
    const everything = window === 'console';
    return {
      seq: this.hub.seq,
      nowMs: this.needs.nowMs(),
      room: this.commands.room,
      participants: everything ? this.roster.all : [],
      responses: everything ? this.answers.latest : [],
      outside: everything ? this.door.outside : { knocks: [], wrongKeys: 0 },
      passing: everything ? this.passing.all : NOTHING_IN_PASSING,
    };
  }

  /** Lets in who waits at the door. */
  letIn(participantIds: readonly string[]): void {
    this.places.letIn(participantIds);
  }

  /** Keeps an answer that the teacher enters for a pupil of the class. @throws CoreError PUPIL_UNKNOWN, QUESTION_NOT_OPEN, RESPONSE_SHAPE */
  enter({ pupilId, source, ...post }: ResponseEntered): Promise<ResponseKept> {
    const asking = this.commands.asking(post.askingId);
    return this.answers.keep(pupilId, { ...post, responseTimeMs: 0 }, asking, source);
  }

  /** Takes an answer back that was entered so. @throws CoreError NOT_FOUND */
  takeBack(responseId: string): void {
    this.answers.takeBack(responseId);
    this.hub.showConsoles();
    this.desks.tellAll();
  }

  /** The mark of a response was corrected, or that was taken back: windows and the pupil's desk follow. @throws CoreError NOT_FOUND */
  corrected(responseId: string): void {
    const response = this.answers.corrected(responseId);
    this.hub.tellEvent((seq) => ({ type: 'corrected', seq, response }));
    for (const { id, pupilId } of this.roster.all) if (pupilId === response.pupilId) this.desks.tell(id);
  }

  /** Other wordings count in the class now. */
  wordingsChanged(): void {
    this.answers.wordingsChanged();
  }

  /** Lets a late response count, or not. @throws CoreError NOT_FOUND */
  count(responseId: string, counted: boolean): void {
    if (this.answers.count(responseId, counted)) this.hub.tellEvent((seq) => ({ type: 'counted', seq, responseId, counted }));
  }

  /** Gives a pupil's place up. @param sendsOut by the teacher: the pupil waits at the door when coming again */
  release(participantId: string, sendsOut = false): Participant {
    return this.places.release(participantId, sendsOut);
  }

  /** The class has changed. @returns who is gone */
  renewRoster(pupils: readonly Pupil[]): readonly Participant[] {
    return this.places.renew(pupils);
  }

  /** Two pupils of the class became one. */
  readAgain(responses: readonly MarkedResponse[]): void {
    this.places.readAgain(responses);
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

  /** The pupils of the class who are not in the room, and those who are. */
  get names(): { readonly pupils: Pupil[]; readonly inAlready: Pupil[] } {
    return this.roster.names;
  }

  /** Whether one who is not on the class list may come in. */
  get admitsNewcomers(): boolean {
    return this.door.admitsNewcomers;
  }

  /** What an asking of this room is about. */
  itemOf(askingId: string): Item | undefined {
    return this.commands.room.run.askings.find(({ id }) => id === askingId)?.item;
  }

  /** How many are in who were not on the class list. */
  get newcomers(): number {
    return this.roster.all.filter(({ newcomer }) => newcomer).length;
  }

  join(coming: Coming): string {
    return this.places.join(coming);
  }

  /** A pupil answers "Ready?". */
  sayReady(participantId: string, pulse: number, ready: boolean): void {
    this.mustBeIn(participantId);
    if (!this.passing.say(participantId, pulse, ready)) return;
    this.hub.tell({ type: 'ready', participantId, ready });
    this.desks.tell(participantId);
  }

  /** A pupil turns the practice dial while the class shows theirs. */
  showDial(participantId: string, pose: Pose): void {
    this.mustBeIn(participantId);
    if (this.passing.show(participantId, pose)) this.hub.tell({ type: 'shown', participantId, pose });
  }

  joinByCard(joinId: string, pupilId: string, hashOfToken: string): string {
    return this.places.joinByCard(joinId, pupilId, hashOfToken);
  }

  hasParticipant(participantId: string): boolean {
    return this.roster.has(participantId);
  }

  respond(participantId: string, post: ResponsePost): Promise<ResponseKept> {
    const asking = this.commands.asking(post.askingId);
    const { pupilId, joinedAtMs } = this.mustBeIn(participantId);
    // A device's clock may have been set meanwhile: nothing waited longer than the device has been in the room.
    const waitedMs = Math.min(post.waitedMs ?? 0, Math.max(0, this.needs.nowMs() - joinedAtMs));
    return this.answers.keep(pupilId, { ...post, waitedMs }, asking);
  }

  private mustBeIn(participantId: string): Participant {
    const place = this.roster.get(participantId);
    if (place.waits) throw new CoreError('QUESTION_NOT_OPEN', 'The teacher has not let this device in yet.');
    return place;
  }

  deskView(participantId: string): DeskView {
    return this.desks.view(participantId);
  }

  /** The recording of a lesson has changed: desks that hear it hear what is there now. */
  takesChanged(lessonId: string): void {
    if (lessonId === this.record.lessonId) this.desks.takesChanged();
  }

  mayHear(participantId: string, takeId: string): boolean {
    return this.desks.mayHear(participantId, takeId);
  }

  deskMessage(participantId: string): string {
    return this.desks.message(participantId);
  }

  listen(window: TeacherWindow, line: Line): () => void {
    return this.hub.listen(window, line);
  }

  listenDesk(participantId: string, line: Line): () => void {
    return this.hub.listenDesk(participantId, line);
  }

  private setOnline(participantId: string, online: boolean): void {
    if (this.roster.setOnline(participantId, online)) this.hub.tell({ type: 'presence', participantId, online });
  }

  private tellRoom(room: RoomState, nowMs: number): void {
    this.passing.follow(room.calls);
    this.hub.tellEvent((seq) => ({ type: 'room', seq, nowMs, room }), 'audience too');
    this.desks.tellAll();
    if (room.phase !== 'ended') return;
    this.hub.closeAll();
    this.needs.onEnded(this);
  }
}
