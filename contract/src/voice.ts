import { Type } from '@sinclair/typebox';
import { type Data, AtMs, Exact, Nullable, Uuid } from './shared.js';
import { StepRefSchema } from './teacher.js';

/** Milliseconds within a sound; a take is half an hour at most. */
const WithinTake = Type.Number({ minimum: 0, maximum: 1_900_000 });
const Mime = Type.String({ pattern: '^audio/(webm|mp4|ogg|wav)(;\\s?codecs="?[\\w.,-]+"?)?$', maxLength: 60 });
const CueSchema = Exact({ fromMs: WithinTake, toMs: WithinTake, text: Type.String({ minLength: 1, maxLength: 300 }) });
const CuesSchema = Type.Array(CueSchema, { maxItems: 1000 });

/** What is kept of a take beside its sound; see Take of the core. */
export const TakeSchema = Exact({
  id: Uuid,
  at: StepRefSchema,
  durationMs: WithinTake,
  mime: Mime,
  speechDb: Type.Number({ minimum: -100, maximum: 0 }),
  speech: Type.Array(Exact({ fromMs: WithinTake, toMs: WithinTake }), { maxItems: 6000 }),
  said: Type.String({ maxLength: 5000 }),
  fingerprint: Type.String({ pattern: '^[0-9a-z]{1,16}$' }),
  cues: CuesSchema,
  cuesEdited: Type.Boolean(),
  madeAtMs: AtMs,
  generated: Type.Optional(Type.Literal(true)),
});

/** A take is begun: its sound follows piece by piece. */
export const TakeBegin = Exact({ id: Uuid, at: StepRefSchema, mime: Mime });
export type TakeBegin = Data<typeof TakeBegin>;

/** How many pieces of a take the server has, all from the first on. */
export const TakePieces = Exact({ pieces: Type.Integer({ minimum: 0 }) });
export type TakePieces = Data<typeof TakePieces>;

/** Captions as somebody has written or moved them; or made anew from the words of the script. */
export const CuesChange = Exact({ cues: CuesSchema, cuesEdited: Type.Boolean() });
export type CuesChange = Data<typeof CuesChange>;

/** For how many days a recording is kept after its last take. */
export const RecordingKeep = Exact({ keepDays: Type.Integer({ minimum: 1, maximum: 3650 }) });
export type RecordingKeep = Data<typeof RecordingKeep>;

/** The recording of a lesson: what was said at each step. */
export const RecordingDetail = Exact({
  /** Each step's latest take. */
  takes: Type.Array(TakeSchema),
  /** Steps that have a take from before the latest, which can be brought back. */
  before: Type.Array(StepRefSchema),
  /** Takes that began and never ended, with how much of them is there: a device that broke, for one. */
  cutOff: Type.Array(Exact({ ...TakeBegin.properties, pieces: Type.Integer({ minimum: 1 }) })),
  keepDays: Type.Integer({ minimum: 1 }),
  /** When all of it is deleted, should nothing be added; null where nothing is recorded. */
  deletesAtMs: Nullable(AtMs),
});
export type RecordingDetail = Data<typeof RecordingDetail>;
