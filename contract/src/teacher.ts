import { Type } from '@sinclair/typebox';
import { BeatIdSchema, LessonSchema, RungIdSchema } from './lesson-file.js';
import { Pupil } from './classes.js';
import { MisconceptionIdSchema } from './misconceptions.js';
import { BetweenSchema } from './plan.js';
import { ItemSchema, ResponseSchema } from './question-kinds/registry.js';
import { AskingIdSchema, MarkedResponse } from './responses.js';
import { type Data, AtMs, Exact, Nullable, OneOf, WholeMinuteSchema, ShortText, TaggedUnion, Uuid } from './shared.js';
import { DialMarkSchema, PoseSchema } from './stage.js';

/** Where pupils can reach the school from their own devices, without a path; the likeliest first. */
export const Addresses = Type.Array(Type.String());

/** A lesson in the teacher's list. One that this version cannot read is listed with the reason instead of its facts. */
export const LessonSummary = Exact({
  id: Uuid,
  /** Counts the changes of the draft: a change names the one it was made to. */
  revision: Type.Integer({ minimum: 1 }),
  title: ShortText,
  facts: Nullable(
    Exact({
      goal: ShortText,
      /** The lowest rung on which its questions stand; null where it asks nothing. */
      rung: Nullable(RungIdSchema),
      targetMinutes: Type.Integer(),
      /** Planned length by the timing of its beats, in whole seconds. */
      plannedSec: Type.Integer({ minimum: 0 }),
      beatCount: Type.Integer(),
      questionCount: Type.Integer(),
      /** The times that its questions are about, each once, in seconds since midnight or noon. */
      times: Type.Array(Type.Integer({ minimum: 0, maximum: 43_199 })),
      /** What the checker finds. */
      findings: Type.Integer({ minimum: 0 }),
    }),
  ),
  problem: Nullable(Type.String()),
  /** When it was put away; null while it is ready to teach. */
  archivedAtMs: Nullable(AtMs),
});
export type LessonSummary = Data<typeof LessonSummary>;
export const LessonList = Type.Array(LessonSummary);

/** A lesson as it is edited. What is taught is pinned as a version when a room opens. */
export const LessonDetail = Exact({ id: Uuid, revision: Type.Integer({ minimum: 1 }), lesson: LessonSchema });
export type LessonDetail = Data<typeof LessonDetail>;

/** What a teacher asks a lesson to be drafted from; the id is made by whoever asks, so that a repeated wish drafts one lesson. */
export const DraftWish = Exact({
  id: Uuid,
  rung: RungIdSchema,
  /** Whole minutes. */
  minutes: Type.Integer({ minimum: 5, maximum: 40 }),
  delivery: OneOf(['live', 'recorded']),
  /** Whose daily times the lesson may speak of. */
  classId: Type.Optional(Uuid),
  between: Type.Optional(BetweenSchema),
  /** What those who are taught are known to hold, and questions that were chosen for them. */
  insight: Type.Optional(
    Exact({
      misconceptions: Type.Array(MisconceptionIdSchema, { maxItems: 40 }),
      items: Type.Array(ItemSchema, { maxItems: 20 }),
    }),
  ),
  /** Nothing is drafted but its goal: the lesson is built by hand. */
  empty: Type.Optional(Type.Literal(true)),
});
export type DraftWish = Data<typeof DraftWish>;

/** A lesson file that comes in, whatever is in it: the door of lessons reads it, and names what is wrong. */
export const LessonFileIn = Exact({ id: Uuid, file: Type.Unknown() });
export type LessonFileIn = Data<typeof LessonFileIn>;

/** Copied beats, whatever they are; read through the door of lessons. */
export const ClipIn = Exact({ clip: Type.Object({}, { additionalProperties: true }) });
export type ClipIn = Data<typeof ClipIn>;
export const Clip = Exact({ beats: LessonSchema.properties.beats, items: LessonSchema.properties.items });
export type Clip = Data<typeof Clip>;

/** A changed draft, with the revision it was made to. */
export const LessonSave = Exact({ revision: Type.Integer({ minimum: 1 }), lesson: LessonSchema });
export type LessonSave = Data<typeof LessonSave>;
export const LessonSaved = Exact({ revision: Type.Integer({ minimum: 1 }) });
export type LessonSaved = Data<typeof LessonSaved>;
/** A lesson is among those of its teacher; what stands in it is asked for by its id. */
export const LessonAdded = Exact({ id: Uuid, revision: Type.Integer({ minimum: 1 }) });
export type LessonAdded = Data<typeof LessonAdded>;

/** Four pictures where a teacher is at the door, six where none is. */
export const RoomKeySchema = Type.Array(
  OneOf(['boat', 'lamp', 'puffin', 'shell', 'fish', 'loaf', 'anchor', 'star', 'cloud', 'kite', 'sheep', 'drum']),
  { minItems: 4, maxItems: 6 },
);

export const QuestionPhaseSchema = OneOf(['open', 'closed', 'revealed']);

/** What the teacher shows beside the script; see Aside in the core. */
const AsideSchema = Nullable(
  Exact({
    timeSec: Nullable(WholeMinuteSchema),
    marks: Type.Array(DialMarkSchema, { maxItems: 20 }),
    shows: Nullable(
      TaggedUnion('kind', [
        Exact({ kind: Type.Literal('example'), step: Type.String({ pattern: '^[a-z0-9-]{1,40}$' }) }),
        Exact({ kind: Type.Literal('chart') }),
        Exact({ kind: Type.Literal('answer'), item: ItemSchema, response: ResponseSchema }),
      ]),
    ),
  }),
);

/** A place in a lesson, by name. */
export const StepRefSchema = Exact({ beatId: BeatIdSchema, step: Type.String({ pattern: '^[a-z0-9-]{1,40}$' }) });

const DoorModeSchema = OneOf(['one-by-one', 'class-list', 'all']);

export const RunSchema = Exact({
  at: StepRefSchema,
  enteredAtMs: AtMs,
  askings: Type.Array(Exact({ id: AskingIdSchema, item: ItemSchema, phase: QuestionPhaseSchema, closedAtMs: Nullable(AtMs) }), {
    maxItems: 1000,
  }),
  besideId: Nullable(AskingIdSchema),
  trail: Type.Array(Exact({ beatId: BeatIdSchema, atMs: AtMs }), { maxItems: 1000 }),
});

export const RoomStateSchema = Exact({
  phase: OneOf(['lobby', 'running', 'ended']),
  begunAtMs: Nullable(AtMs),
  run: RunSchema,
  aside: AsideSchema,
  door: Exact({ open: Type.Boolean(), closesAtMs: Nullable(AtMs), admits: DoorModeSchema }),
  calls: Exact({
    nudged: Nullable(AskingIdSchema),
    more: Nullable(Exact({ askingId: AskingIdSchema, fromMs: AtMs, untilMs: AtMs })),
    showMe: Type.Boolean(),
    pulse: Nullable(AtMs),
  }),
  endedBy: Nullable(OneOf(['teacher', 'silence'])),
});

export const Participant = Exact({
  id: Uuid,
  pupilId: Uuid,
  name: ShortText,
  joinedAtMs: AtMs,
  online: Type.Boolean(),
  /** Waits at the door until the teacher lets this pupil in. */
  waits: Type.Boolean(),
  /** Came under a name of their own that is not on the class list. */
  newcomer: Type.Boolean(),
});
export type Participant = Data<typeof Participant>;

export const SessionStart = Exact({ id: Uuid, lessonId: Uuid, classId: Uuid });
export type SessionStart = Data<typeof SessionStart>;

export const SessionSummary = Exact({
  id: Uuid,
  lessonId: Uuid,
  classId: Uuid,
  title: ShortText,
  className: ShortText,
  phase: OneOf(['lobby', 'running', 'ended']),
  /** Whether the teacher leads, or each pupil goes at their own pace. */
  pace: OneOf(['live', 'own']),
  /** Its pupils are simulated: nothing of it counts for a class. */
  simulated: Type.Boolean(),
  createdAtMs: AtMs,
  endedAtMs: Nullable(AtMs),
  participantCount: Type.Integer({ minimum: 0 }),
  responseCount: Type.Integer({ minimum: 0 }),
});
export type SessionSummary = Data<typeof SessionSummary>;
export const SessionList = Type.Array(SessionSummary);

/** What goes on outside a room's door. */
export const Outside = Exact({
  /** Those who knock at the closed door, in the order they came. */
  knocks: Type.Array(Exact({ id: Uuid, atMs: AtMs })),
  /** How many wrong room keys were tried at this server lately. */
  wrongKeys: Type.Integer({ minimum: 0 }),
});
export type Outside = Data<typeof Outside>;

/** What pupils show in passing: it is told as it comes, and kept nowhere. */
export const Passing = Exact({
  /** Who has answered the pulse that is asked now. */
  ready: Type.Array(Exact({ participantId: Uuid, ready: Type.Boolean() })),
  /** Where the hands of each practice dial stand, while the class shows them. */
  shown: Type.Array(Exact({ participantId: Uuid, pose: PoseSchema })),
});
export type Passing = Data<typeof Passing>;

/** What changes while a session runs; the socket sends it whole whenever a window connects. */
export const SessionLive = Exact({
  /** Number of the last event that this state includes. */
  seq: Type.Integer({ minimum: 0 }),
  /** The server's clock when it was sent, so that a window can go on from the same moment. */
  nowMs: AtMs,
  room: RoomStateSchema,
  participants: Type.Array(Participant),
  outside: Outside,
  passing: Passing,
  /**
   * While the room is open each pupil's latest response to each asking, and beside it the latest that counts; afterwards
   * every attempt. Oldest first. Empty for the audience window.
   */
  responses: Type.Array(MarkedResponse),
});
export type SessionLive = Data<typeof SessionLive>;

export const SessionDetail = Exact({
  id: Uuid,
  /** The lesson as it goes on being edited; what is taught is `lesson`. */
  lessonId: Uuid,
  classId: Uuid,
  className: ShortText,
  pace: OneOf(['live', 'own']),
  /** Its pupils are simulated: nothing of it counts for a class. */
  simulated: Type.Boolean(),
  /** Null once the lesson has ended: the key is free for other rooms then. */
  roomKey: Nullable(RoomKeySchema),
  createdAtMs: AtMs,
  endedAtMs: Nullable(AtMs),
  lesson: LessonSchema,
  pupils: Type.Array(Pupil),
  live: SessionLive,
  /** Answers that this version cannot read, each with its reason; they stay stored as they are. */
  unreadable: Type.Array(Type.String()),
});
export type SessionDetail = Data<typeof SessionDetail>;

export const CommandPost = Exact({
  /** Made by the console, so that a command sent twice happens once. */
  id: Uuid,
  command: TaggedUnion('type', [
    Exact({ type: Type.Literal('begin') }),
    Exact({ type: Type.Literal('go'), to: StepRefSchema }),
    Exact({ type: Type.Literal('close'), askingId: AskingIdSchema }),
    Exact({ type: Type.Literal('reveal'), askingId: AskingIdSchema }),
    Exact({ type: Type.Literal('ask'), item: ItemSchema }),
    Exact({ type: Type.Literal('take-back'), askingId: AskingIdSchema }),
    Exact({ type: Type.Literal('aside'), aside: AsideSchema }),
    Exact({ type: Type.Literal('door'), open: Type.Boolean() }),
    Exact({ type: Type.Literal('door-admits'), admits: DoorModeSchema }),
    Exact({ type: Type.Literal('nudge'), askingId: AskingIdSchema }),
    Exact({ type: Type.Literal('more-time'), askingId: AskingIdSchema, minutes: Type.Integer({ minimum: 1, maximum: 30 }) }),
    Exact({ type: Type.Literal('show-me'), on: Type.Boolean() }),
    Exact({ type: Type.Literal('pulse'), on: Type.Boolean() }),
    Exact({ type: Type.Literal('end') }),
  ]),
});
export type CommandPost = Data<typeof CommandPost>;

/** Lets pupils in who wait at the door. */
export const LetIn = Exact({ participantIds: Type.Array(Uuid, { minItems: 1, maxItems: 60 }) });
export type LetIn = Data<typeof LetIn>;

/** Whether a late response counts. */
export const CountLate = Exact({ counted: Type.Boolean() });
export type CountLate = Data<typeof CountLate>;

/** The room after a command. */
export const CommandDone = Exact({ seq: Type.Integer({ minimum: 0 }), nowMs: AtMs, room: RoomStateSchema });
export type CommandDone = Data<typeof CommandDone>;
