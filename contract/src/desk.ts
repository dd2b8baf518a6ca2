import { Type, type Static } from '@sinclair/typebox';
import { ItemIdSchema, LessonSettingsSchema, MovingBeatSchema } from './lesson-file.js';
import { ResponseSchema, VerdictSchema } from './responses.js';
import { Exact, LongText, Nullable, OneOf, ShortText, Uuid } from './shared.js';
import { DialMarkSchema, LayersSchema, PoseSchema, SeparatorSchema, StageStateSchema } from './stage.js';
import { Pupil, QuestionPhaseSchema, RoomKeySchema } from './teacher.js';

export const RoomLookup = Exact({ roomKey: RoomKeySchema });
export type RoomLookup = Static<typeof RoomLookup>;

/** A room that was found: its class and the pupils who are not in it yet. */
export const RoomFound = Exact({ className: ShortText, pupils: Type.Array(Pupil) });
export type RoomFound = Static<typeof RoomFound>;

export const Join = Exact({ joinId: Uuid, roomKey: RoomKeySchema, pupilId: Uuid });
export type Join = Static<typeof Join>;

export const ReadDialViewSchema = Exact({
  kind: Type.Literal('read-dial'),
  itemId: ItemIdSchema,
  stem: LongText,
  pose: PoseSchema,
  layers: LayersSchema,
  separator: SeparatorSchema,
});
export const SetDialViewSchema = Exact({
  kind: Type.Literal('set-dial'),
  itemId: ItemIdSchema,
  stem: LongText,
  hands: OneOf(['geared', 'free']),
  startSec: Type.Integer({ minimum: 0, maximum: 86_399 }),
  layers: LayersSchema,
});
export const ItemViewSchema = Type.Union([ReadDialViewSchema, SetDialViewSchema]);

/** What the reveal tells a pupil: the key, the stage with its reason, and one kind sentence on the pupil's own response. */
export const RevealSchema = Exact({
  key: ResponseSchema,
  stage: StageStateSchema,
  own: Nullable(Exact({ verdict: VerdictSchema, sayToPupil: Type.String() })),
});

/** All that a pupil's desk shows. Before the reveal nothing in it tells the key but the picture itself. */
export const DeskView = Exact({
  seq: Type.Integer({ minimum: 0 }),
  phase: OneOf(['lobby', 'running', 'ended']),
  /** This device's place in the room: answers waiting on the device belong to it and to no other. */
  participantId: Uuid,
  pupilName: ShortText,
  className: ShortText,
  lessonTitle: ShortText,
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
  question: Nullable(
    Exact({
      view: ItemViewSchema,
      phase: QuestionPhaseSchema,
      countdown: Nullable(Exact({ totalMs: Type.Number(), leftMs: Type.Number() })),
      /** The pupil's own latest response, as the server has it. */
      given: Nullable(Exact({ attempt: Type.Integer({ minimum: 1 }), response: ResponseSchema })),
      reveal: Nullable(RevealSchema),
    }),
  ),
});
export type DeskView = Static<typeof DeskView>;
