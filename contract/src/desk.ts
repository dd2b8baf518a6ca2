import type { ItemView, Response } from '@zeitpunkt/core/question-kinds/registry';
import type { ShapeId } from '@zeitpunkt/core/question-kinds/shapes/shape';
import { Type, type TSchema } from '@sinclair/typebox';
import { LessonSettingsSchema, MovingBeatSchema } from './lesson-file.js';
import { ItemViewSchema, ResponseSchema } from './question-kinds/registry.js';
import { AskingIdSchema, responsePost, VerdictSchema } from './responses.js';
import { SHAPE_IDS } from './shapes/shapes.js';
import { type Data, AtMs, Exact, Nullable, OneOf, ShortText, Uuid } from './shared.js';
import { DialMarkSchema, PoseSchema, StageStateSchema } from './stage.js';
import { Pupil, PupilName } from './classes.js';
import { IsoDateSchema } from './plan.js';
import { QuestionPhaseSchema, RoomKeySchema, StepRefSchema } from './teacher.js';

export const RoomLookup = Exact({ roomKey: RoomKeySchema });
export type RoomLookup = Data<typeof RoomLookup>;

/** A room that was found: its class, the pupils who are not in it yet, and those who are in on another device. */
export const RoomFound = Exact({
  className: ShortText,
  pupils: Type.Array(Pupil),
  inAlready: Type.Array(Pupil),
  /** Whether one who is not on the list may come in under a name of their own. */
  newcomers: Type.Boolean(),
});
export type RoomFound = Data<typeof RoomFound>;

export const Join = Exact({
  joinId: Uuid,
  roomKey: RoomKeySchema,
  pupilId: Uuid,
  /** Of a knock that was answered: the door is closed to others. */
  knockId: Type.Optional(Uuid),
  /** The pupil is in on another device and comes with this one: the teacher says yes. */
  again: Type.Optional(Type.Literal(true)),
  /** The name of one who is not on the class list; the id is made by the device then. */
  newName: Type.Optional(PupilName),
});
export type Join = Data<typeof Join>;

/** Somebody knocks at the door that a key belongs to, or asks whether it has been opened. */
export const Knock = Exact({ knockId: Uuid, roomKey: RoomKeySchema });
export type Knock = Data<typeof Knock>;

/** The room, once its teacher has opened. */
export const KnockAnswer = Exact({ room: Nullable(RoomFound) });
export type KnockAnswer = Data<typeof KnockAnswer>;

/** A pupil goes to another step of a lesson at own pace. */
export const OwnGo = Exact({ to: StepRefSchema });

/** A second pupil comes in on the same device. */
export const BesideJoin = Exact({ joinId: Uuid, pupilId: Uuid });
export type BesideJoin = Data<typeof BesideJoin>;

/** A pupil answers "Ready?". */
export const ReadyPost = Exact({ pulse: AtMs, ready: Type.Boolean() });
/** Where the hands of a pupil's practice dial stand, while the class shows them. */
export const ShownPost = Exact({ pose: PoseSchema });

const CardToken = Type.String({ pattern: '^[A-Za-z0-9_-]{22}$' });

/** A pupil shows a join card, to see what there is to come into. */
export const CardShown = Exact({ token: CardToken });
export type CardShown = Data<typeof CardShown>;

/** Whose card it is, and where it leads. */
export const CardRead = Exact({
  pupilName: ShortText,
  className: ShortText,
  /** Lessons that are open to this pupil now. */
  lessons: Type.Array(
    Exact({
      sessionId: Uuid,
      title: ShortText,
      /** The days between which it is open, where it is done at one's own pace; null for a lesson that the teacher leads. */
      own: Nullable(Exact({ firstDay: IsoDateSchema, lastDay: IsoDateSchema, open: Type.Boolean(), done: Type.Boolean() })),
    }),
  ),
});
export type CardRead = Data<typeof CardRead>;

/** Comes into a room by card. The same join sent again is one join. */
export const CardJoin = Exact({ token: CardToken, sessionId: Uuid, joinId: Uuid });
export type CardJoin = Data<typeof CardJoin>;

/**
 * What the reveal tells a pupil: the stage with the key and its reason, the right response as the pupil would have given it, and one
 * kind sentence on the pupil's own.
 */
const revealed = <R extends TSchema>(response: R) =>
  Exact({
    stage: StageStateSchema,
    key: response,
    own: Nullable(Exact({ verdict: VerdictSchema, sayToPupil: Type.String() })),
  });

/** The teacher's voice at a step: the sound by its id, and its captions. */
const StepVoice = Exact({
  takeId: Uuid,
  durationMs: Type.Number({ minimum: 0 }),
  cues: Type.Array(Exact({ fromMs: Type.Number({ minimum: 0 }), toMs: Type.Number({ minimum: 0 }), text: Type.String() })),
});

/** What a desk shows of a lesson at own pace beside what is on its stage. */
const OwnPaceView = Exact({
  /** What the teacher would say at this step. */
  narration: Type.String(),
  /** Where the pupil stands, from 0, and may go; a question that is not answered lets nobody past. */
  at: Type.Integer({ minimum: 0 }),
  farthest: Type.Integer({ minimum: 0 }),
  /** The steps as far as the pupil may go: nothing is told of those behind. */
  steps: Type.Array(StepRefSchema),
  total: Type.Integer({ minimum: 1 }),
  done: Type.Boolean(),
  /** What the teacher writes; empty where nothing is. */
  lines: Type.Array(Type.String()),
  lastDay: IsoDateSchema,
  /** Where the lesson speaks with the teacher's voice; null where it does not. */
  voice: Nullable(
    Exact({
      /** What is heard here; null where nothing was recorded for this step. */
      here: Nullable(StepVoice),
      /** The sound of the step that comes next, so that it can be fetched ahead; null where none is or none may be yet. */
      nextTakeId: Nullable(Uuid),
    }),
  ),
});

/** All that a pupil's desk shows, with what is known of a kind's own parts: all of them, or only their kind. */
const deskView = <View extends TSchema, Given extends TSchema>(view: View, response: Given) =>
  Exact({
    seq: Type.Integer({ minimum: 0 }),
    /** At the door the pupil waits to be let in. */
    phase: OneOf(['door', 'lobby', 'running', 'ended']),
    /** This device's place in the room: answers waiting on the device belong to it and to no other. */
    participantId: Uuid,
    pupilName: ShortText,
    className: ShortText,
    lessonTitle: ShortText,
    /** The language that the lesson talks in, as in "en-GB". */
    language: Type.String({ maxLength: 20 }),
    /** The ways in which questions of the lesson are answered, so that a device can have them ready. */
    shapes: Type.Array(Type.Unsafe<ShapeId>(Type.String())),
    /** The stage of a beat that asks nothing, played by the core from the stage before it. */
    stage: Nullable(
      Exact({
        before: StageStateSchema,
        /** Plays on from `before`; null where nothing moves and `before` is what is seen. */
        beat: Nullable(MovingBeatSchema),
        settings: LessonSettingsSchema,
        elapsedMs: Type.Number({ minimum: 0 }),
        motionMs: Type.Number({ minimum: 0 }),
        /** Pointed at by the teacher, on top. */
        marks: Type.Array(DialMarkSchema, { maxItems: 20 }),
        /** The teacher turns the hands: they glide from where they were last seen. */
        glides: Type.Boolean(),
      }),
    ),
    /** What the teacher asks of the class in passing. */
    calls: Exact({
      /** The teacher sees this pupil's practice dial. */
      showMe: Type.Boolean(),
      /** "Ready?", and what this pupil has said. */
      pulse: Nullable(Exact({ id: AtMs, ready: Nullable(Type.Boolean()) })),
    }),
    /** A lesson at own pace: what the teacher would say here, and where the pupil may go. Null where the teacher leads. */
    own: Nullable(OwnPaceView),
    question: Nullable(
      Exact({
        askingId: AskingIdSchema,
        view,
        phase: QuestionPhaseSchema,
        /** The teacher waits for those who have not answered yet. */
        nudged: Type.Boolean(),
        /** The take in which the teacher says it, for devices that cannot read it aloud; null where there is none that fits. */
        takeId: Nullable(Uuid),
        countdown: Nullable(Exact({ totalMs: Type.Number(), leftMs: Type.Number() })),
        /** The pupil's own latest response, as the server has it. */
        given: Nullable(Exact({ attempt: Type.Integer({ minimum: 1 }), response, late: Type.Boolean() })),
        reveal: Nullable(revealed(response)),
      }),
    ),
  });

/** All that a pupil's desk shows. Before the reveal nothing in it tells the key but the picture itself. */
/** Whether the next lesson of a class is open, for a desk whose own is over. */
export const NextLesson = Exact({ open: Type.Boolean() });
export type NextLesson = Data<typeof NextLesson>;

export const DeskView = deskView(ItemViewSchema, ResponseSchema);
export type DeskView = Data<typeof DeskView>;

/** Something of a question kind of which only the kind is checked: the rest is, once the part of the page for its shape is there. */
const OfSomeKind = <T>() => Type.Unsafe<T>({ type: 'object', required: ['kind'], properties: { kind: { type: 'string' } } });

/** The view of a question of which only its shape is checked. */
const OfSomeShape = Type.Unsafe<ItemView>({
  type: 'object',
  required: ['kind', 'shape'],
  properties: { kind: { type: 'string' }, shape: { enum: [...SHAPE_IDS] } },
});

/** What a pupil's device checks of its view before it knows the shapes in it. */
export const DeskViewShell = deskView(OfSomeShape, OfSomeKind<Response>());

/** An answer as a pupil's device keeps it until the server has it; what it holds is the kind's own. */
export const Waiting = Exact({
  id: Uuid,
  /** The place in a room that it belongs to. */
  participantId: Uuid,
  putAtMs: Type.Number(),
  post: responsePost(OfSomeKind<Response>()),
});
export type Waiting = Data<typeof Waiting>;
