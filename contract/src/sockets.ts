import { Type, type TSchema } from '@sinclair/typebox';
import { DeskView, DeskViewShell } from './desk.js';
import { MarkedResponse } from './responses.js';
import { AtMs, type Data, Exact, OneOf, TaggedUnion, Uuid } from './shared.js';
import { Pupil } from './classes.js';
import { PoseSchema } from './stage.js';
import { Outside, Participant, RoomStateSchema, SessionLive } from './teacher.js';

const Seq = Type.Integer({ minimum: 0 });
const ProblemMessage = Exact({ type: Type.Literal('problem'), code: Type.String(), detail: Type.String() });
/** The first message of every line: which build of the application the server serves. A page of another one is out of date. */
const HelloMessage = Exact({ type: Type.Literal('hello'), build: Type.String() });

/** Server → console and audience window. Numbered events; a window that missed one asks for the state. */
export const TeacherMessage = TaggedUnion('type', [
  HelloMessage,
  Exact({ type: Type.Literal('state'), live: SessionLive }),
  Exact({ type: Type.Literal('room'), seq: Seq, nowMs: AtMs, room: RoomStateSchema }),
  Exact({ type: Type.Literal('joined'), seq: Seq, participant: Participant }),
  Exact({ type: Type.Literal('released'), seq: Seq, participantId: Uuid }),
  Exact({ type: Type.Literal('response'), seq: Seq, response: MarkedResponse }),
  /** Whether a late response counts was changed. */
  Exact({ type: Type.Literal('counted'), seq: Seq, responseId: Uuid, counted: Type.Boolean() }),
  /** The teacher has corrected the mark of a response, or taken that back. */
  Exact({ type: Type.Literal('corrected'), seq: Seq, response: MarkedResponse }),
  /** A pupil who waited at the door was let in. */
  Exact({ type: Type.Literal('let-in'), seq: Seq, participantId: Uuid }),
  /** Not numbered: who knocks at the closed door, and how many wrong room keys were tried lately. */
  Exact({ type: Type.Literal('outside'), outside: Outside }),
  /** The class list has changed: a pupil was renamed, added or deleted. */
  Exact({ type: Type.Literal('roster'), seq: Seq, pupils: Type.Array(Pupil), participants: Type.Array(Participant) }),
  /** Not numbered: whether a pupil's device has its line open. */
  Exact({ type: Type.Literal('presence'), participantId: Uuid, online: Type.Boolean() }),
  /** Not numbered: a pupil answers "Ready?", or turns the hands that the class shows. */
  Exact({ type: Type.Literal('ready'), participantId: Uuid, ready: Type.Boolean() }),
  Exact({ type: Type.Literal('shown'), participantId: Uuid, pose: PoseSchema }),
  ProblemMessage,
]);
export type TeacherMessage = Data<typeof TeacherMessage>;

/** Server → pupil's desk: always the whole view, so that a missed one does not matter. */
const deskMessage = <View extends TSchema>(view: View) =>
  Type.Union([
    HelloMessage,
    Exact({ type: Type.Literal('view'), view }),
    /** The teacher freed this pupil's name: the desk goes back to the room key. */
    Exact({ type: Type.Literal('released') }),
    /** The pupil has come in on another device: this one stays where it is, and does not come back by itself. */
    Exact({ type: Type.Literal('moved') }),
    ProblemMessage,
  ]);
export const DeskMessage = deskMessage(DeskView);
export type DeskMessage = Data<typeof DeskMessage>;
/** What a pupil's device checks of a message before it knows the question kind in it. */
export const DeskMessageShell = deskMessage(DeskViewShell);

/** Any window → server: send the state again, or only that the line still carries. Everything that changes something goes over HTTP. */
export const ClientMessage = Exact({ type: OneOf(['sync', 'ping']) });
export type ClientMessage = Data<typeof ClientMessage>;
