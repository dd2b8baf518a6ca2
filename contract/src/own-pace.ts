import { Type } from '@sinclair/typebox';
import { LessonSchema } from './lesson-file.js';
import { IsoDateSchema } from './plan.js';
import { MarkedResponse } from './responses.js';
import { type Data, AtMs, Exact, Nullable, ShortText, Uuid } from './shared.js';
import { RoomKeySchema } from './teacher.js';

/** One line to a pupil or to all; empty takes it away. */
const Line = Type.String({ maxLength: 200 });

/** Gives a lesson out to be done at one's own pace. The id is made by whoever gives it, so that it is given once. */
export const OwnPaceStart = Exact({
  id: Uuid,
  lessonId: Uuid,
  classId: Uuid,
  /** To these pupils; null: to the whole class, and whoever comes into it. */
  pupilIds: Nullable(Type.Array(Uuid, { minItems: 1, maxItems: 2000 })),
  firstDay: IsoDateSchema,
  lastDay: IsoDateSchema,
  /** Whether the room key opens it too, under any name of those it is given to. */
  byKey: Type.Boolean(),
  /** Whether the lesson speaks with the teacher’s takes, as far as they fit. */
  voice: Type.Boolean(),
});
export type OwnPaceStart = Data<typeof OwnPaceStart>;

/** Changes when a lesson that was given out is open, or what the teacher writes. */
export const OwnPaceChange = Exact({
  firstDay: Type.Optional(IsoDateSchema),
  lastDay: Type.Optional(IsoDateSchema),
  byKey: Type.Optional(Type.Boolean()),
  voice: Type.Optional(Type.Boolean()),
});
export type OwnPaceChange = Data<typeof OwnPaceChange>;
export const OwnPaceLine = Exact({ pupilId: Nullable(Uuid), line: Line });

/** Where a pupil stands. */
export const OwnPlace = Exact({
  pupilId: Uuid,
  name: ShortText,
  /** The step, from 0, of those a pupil goes through; null for one who has not begun. */
  at: Nullable(Type.Integer({ minimum: 0 })),
  done: Type.Boolean(),
  heardAtMs: Nullable(AtMs),
  online: Type.Boolean(),
  line: Line,
});
export type OwnPlace = Data<typeof OwnPlace>;

/** What changes while a lesson is done at own pace. */
export const OwnPaceLive = Exact({
  nowMs: AtMs,
  firstDay: IsoDateSchema,
  lastDay: IsoDateSchema,
  byKey: Type.Boolean(),
  voice: Type.Boolean(),
  endedAtMs: Nullable(AtMs),
  line: Line,
  places: Type.Array(OwnPlace),
  /** Each pupil's latest response to each question, oldest first. */
  responses: Type.Array(MarkedResponse),
});
export type OwnPaceLive = Data<typeof OwnPaceLive>;

export const OwnPaceDetail = Exact({
  id: Uuid,
  lessonId: Uuid,
  classId: Uuid,
  className: ShortText,
  roomKey: Nullable(RoomKeySchema),
  lesson: LessonSchema,
  live: OwnPaceLive,
});
export type OwnPaceDetail = Data<typeof OwnPaceDetail>;

/** How far everybody is in a lesson at own pace, in no order. */
export const OwnPaceProgress = Exact({
  lastDay: IsoDateSchema,
  /** Steps that a pupil goes through. */
  steps: Type.Integer({ minimum: 1 }),
  places: Type.Array(Type.Pick(OwnPlace, ['at', 'done'], { additionalProperties: false })),
});
export type OwnPaceProgress = Data<typeof OwnPaceProgress>;

/** Server → a teacher's window on a lesson at own pace. */
export const OwnPaceMessage = Type.Union([
  Exact({ type: Type.Literal('hello'), build: Type.String() }),
  Exact({ type: Type.Literal('own'), live: OwnPaceLive }),
  Exact({ type: Type.Literal('place'), place: OwnPlace }),
  Exact({ type: Type.Literal('answer'), response: MarkedResponse }),
  Exact({ type: Type.Literal('problem'), code: Type.String(), detail: Type.String() }),
]);
export type OwnPaceMessage = Data<typeof OwnPaceMessage>;
