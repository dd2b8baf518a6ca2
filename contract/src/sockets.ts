import { Type, type Static } from '@sinclair/typebox';
import { DeskView } from './desk.js';
import { MarkedResponse } from './responses.js';
import { AtMs, Exact, Uuid } from './shared.js';
import { Participant, RoomStateSchema, SessionLive } from './teacher.js';

const Seq = Type.Integer({ minimum: 0 });

const ProblemMessage = Exact({ type: Type.Literal('problem'), code: Type.String(), detail: Type.String() });

/** Server → console and audience window. Numbered events; a window that missed one asks for the state. */
export const TeacherMessage = Type.Union([
  Exact({ type: Type.Literal('state'), live: SessionLive }),
  Exact({ type: Type.Literal('room'), seq: Seq, nowMs: AtMs, room: RoomStateSchema }),
  Exact({ type: Type.Literal('joined'), seq: Seq, participant: Participant }),
  Exact({ type: Type.Literal('released'), seq: Seq, participantId: Uuid }),
  Exact({ type: Type.Literal('response'), seq: Seq, response: MarkedResponse }),
  /** Not numbered: whether a pupil's device has its line open. */
  Exact({ type: Type.Literal('presence'), participantId: Uuid, online: Type.Boolean() }),
  ProblemMessage,
]);
export type TeacherMessage = Static<typeof TeacherMessage>;

/** Server → pupil's desk: always the whole view, so that a missed one does not matter. */
export const DeskMessage = Type.Union([
  Exact({ type: Type.Literal('view'), view: DeskView }),
  /** The teacher freed this pupil's name: the desk goes back to the room key. */
  Exact({ type: Type.Literal('released') }),
  ProblemMessage,
]);
export type DeskMessage = Static<typeof DeskMessage>;

/** Any window → server: send the state again. Everything that changes something goes over HTTP. */
export const ClientMessage = Exact({ type: Type.Literal('sync') });
export type ClientMessage = Static<typeof ClientMessage>;
