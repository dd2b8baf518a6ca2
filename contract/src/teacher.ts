import { Type, type Static } from '@sinclair/typebox';
import { LessonSchema } from './lesson-file.js';
import { MarkedResponse } from './responses.js';
import { AtMs, Exact, Nullable, OneOf, SecondOfDaySchema, ShortText, Uuid } from './shared.js';
import { DialMarkSchema } from './stage.js';

const SignInName = Type.String({ minLength: 1, maxLength: 100 });
const NewPassword = Type.String({ minLength: 10, maxLength: 200 });

export const SignIn = Exact({ signInName: SignInName, password: Type.String({ minLength: 1, maxLength: 200 }) });
export type SignIn = Static<typeof SignIn>;

export const Teacher = Exact({ id: Uuid, name: ShortText });
export type Teacher = Static<typeof Teacher>;

/** Who is signed in, and whether the first teacher has still to be set up. */
export const Me = Exact({ teacher: Nullable(Teacher), setUpNeeded: Type.Boolean() });
export type Me = Static<typeof Me>;

/** First run: the one-time code from the console, the first teacher and the first class. */
export const SetUp = Exact({
  code: Type.String({ minLength: 1, maxLength: 40 }),
  name: ShortText,
  signInName: SignInName,
  password: NewPassword,
  className: ShortText,
  pupilNames: Type.Array(Type.String({ minLength: 1, maxLength: 60 }), { minItems: 1, maxItems: 60, uniqueItems: true }),
});
export type SetUp = Static<typeof SetUp>;

export const Pupil = Exact({ id: Uuid, name: ShortText });
export type Pupil = Static<typeof Pupil>;

export const ClassSummary = Exact({ id: Uuid, name: ShortText, pupilCount: Type.Integer({ minimum: 0 }) });
export type ClassSummary = Static<typeof ClassSummary>;
export const ClassList = Type.Array(ClassSummary);

export const LessonSummary = Exact({
  id: Uuid,
  version: Type.Integer({ minimum: 1 }),
  title: ShortText,
  goal: ShortText,
  targetMinutes: Type.Integer(),
  /** Planned length by the timing of its beats, in whole seconds. */
  plannedSec: Type.Integer({ minimum: 0 }),
  beatCount: Type.Integer(),
  questionCount: Type.Integer(),
});
export type LessonSummary = Static<typeof LessonSummary>;
export const LessonList = Type.Array(LessonSummary);

export const LessonDetail = Exact({ id: Uuid, version: Type.Integer({ minimum: 1 }), lesson: LessonSchema });
export type LessonDetail = Static<typeof LessonDetail>;

export const RoomKeySchema = Type.Array(
  OneOf(['boat', 'lamp', 'puffin', 'shell', 'fish', 'loaf', 'anchor', 'star', 'cloud', 'kite', 'sheep', 'drum']),
  { minItems: 4, maxItems: 4 },
);

export const QuestionPhaseSchema = OneOf(['open', 'closed', 'revealed']);

/** What the teacher shows beside the script; see Aside in the core. */
const AsideSchema = Nullable(Exact({ timeSec: Nullable(SecondOfDaySchema), marks: Type.Array(DialMarkSchema, { maxItems: 20 }) }));

export const RoomStateSchema = Exact({
  phase: OneOf(['lobby', 'running', 'ended']),
  step: Type.Integer({ minimum: 0 }),
  stepStartedAtMs: AtMs,
  begunAtMs: Nullable(AtMs),
  questions: Type.Record(Type.String(), QuestionPhaseSchema),
  aside: AsideSchema,
});

export const Participant = Exact({ id: Uuid, pupilId: Uuid, name: ShortText, joinedAtMs: AtMs, online: Type.Boolean() });
export type Participant = Static<typeof Participant>;

export const SessionStart = Exact({ id: Uuid, lessonId: Uuid, classId: Uuid });
export type SessionStart = Static<typeof SessionStart>;

export const SessionSummary = Exact({
  id: Uuid,
  lessonId: Uuid,
  title: ShortText,
  className: ShortText,
  phase: OneOf(['lobby', 'running', 'ended']),
  createdAtMs: AtMs,
  endedAtMs: Nullable(AtMs),
  participantCount: Type.Integer({ minimum: 0 }),
  responseCount: Type.Integer({ minimum: 0 }),
});
export type SessionSummary = Static<typeof SessionSummary>;
export const SessionList = Type.Array(SessionSummary);

/** What changes while a session runs; the socket sends it whole whenever a window connects. */
export const SessionLive = Exact({
  /** Number of the last event that this state includes. */
  seq: Type.Integer({ minimum: 0 }),
  /** The server's clock when it was sent, so that a window can go on from the same moment. */
  nowMs: AtMs,
  room: RoomStateSchema,
  participants: Type.Array(Participant),
  /** Every attempt, oldest first. Empty for the audience window. */
  responses: Type.Array(MarkedResponse),
});
export type SessionLive = Static<typeof SessionLive>;

export const SessionDetail = Exact({
  id: Uuid,
  className: ShortText,
  /** Null once the lesson has ended: the key is free for other rooms then. */
  roomKey: Nullable(RoomKeySchema),
  createdAtMs: AtMs,
  endedAtMs: Nullable(AtMs),
  lesson: LessonSchema,
  pupils: Type.Array(Pupil),
  live: SessionLive,
});
export type SessionDetail = Static<typeof SessionDetail>;

export const CommandPost = Exact({
  /** Made by the console, so that a command sent twice happens once. */
  id: Uuid,
  command: Type.Union([
    Exact({ type: Type.Literal('begin') }),
    Exact({ type: Type.Literal('go'), toStep: Type.Integer({ minimum: 0, maximum: 5000 }) }),
    Exact({ type: Type.Literal('close'), itemId: Type.String({ maxLength: 40 }) }),
    Exact({ type: Type.Literal('aside'), aside: AsideSchema }),
    Exact({ type: Type.Literal('end') }),
  ]),
});
export type CommandPost = Static<typeof CommandPost>;

/** The room after a command. */
export const CommandDone = Exact({ seq: Type.Integer({ minimum: 0 }), nowMs: AtMs, room: RoomStateSchema });
export type CommandDone = Static<typeof CommandDone>;
