import type { MisconceptionId } from '@zeitpunkt/core';
import { Type, type Static } from '@sinclair/typebox';
import { ItemIdSchema } from './lesson-file.js';
import { AtMs, Degrees, Exact, OneOf, Uuid } from './shared.js';

const Digits = Type.String({ pattern: '^[0-9]{0,2}$' });

export const ReadDialResponseSchema = Exact({ kind: Type.Literal('read-dial'), hour: Digits, minute: Digits });
export const SetDialResponseSchema = Exact({ kind: Type.Literal('set-dial'), hourDeg: Degrees, minuteDeg: Degrees });

/** What a pupil gives to an item, by question kind. */
export const ResponseSchema = Type.Union([ReadDialResponseSchema, SetDialResponseSchema]);

/** A response on its way: the id is made on the pupil's device, so that sending it twice keeps it once. */
export const ResponsePost = Exact({
  id: Uuid,
  itemId: ItemIdSchema,
  response: ResponseSchema,
  /** From the question on screen to the response given, in milliseconds, up to a day. */
  responseTimeMs: Type.Integer({ minimum: 0, maximum: 86_400_000 }),
});
export type ResponsePost = Static<typeof ResponsePost>;

/** Sent once the response is committed to the disk. */
export const ResponseKept = Exact({ id: Uuid, itemId: ItemIdSchema, attempt: Type.Integer({ minimum: 1 }), receivedAtMs: AtMs });
export type ResponseKept = Static<typeof ResponseKept>;

export const VerdictSchema = OneOf(['right', 'right-other-form', 'partly', 'not-yet', 'blank']);

export const MarkSchema = Exact({
  verdict: VerdictSchema,
  parts: Exact({ hour: Type.Boolean(), minute: Type.Boolean(), form: Type.Boolean() }),
  misconceptions: Type.Array(Type.Unsafe<MisconceptionId>(Type.String())),
  sayToPupil: Type.String(),
});

/** A response as its teacher sees it. */
export const MarkedResponse = Exact({
  id: Uuid,
  pupilId: Uuid,
  itemId: ItemIdSchema,
  attempt: Type.Integer({ minimum: 1 }),
  response: ResponseSchema,
  mark: MarkSchema,
  responseTimeMs: Type.Integer({ minimum: 0 }),
  receivedAtMs: AtMs,
});
export type MarkedResponse = Static<typeof MarkedResponse>;
