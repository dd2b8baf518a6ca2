import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import type { PartId } from '@zeitpunkt/core/question-kinds/question-kind';
import { Type, type TSchema } from '@sinclair/typebox';
import { ResponseSchema } from './question-kinds/registry.js';
import { AtMs, type Data, Exact, Nullable, OneOf, Uuid } from './shared.js';

/** A question that was asked: the id of its item, and from the second time on a dot and how many times. */
export const AskingIdSchema = Type.String({ pattern: '^[a-z0-9-]{1,40}(\\.[0-9]{1,4})?$' });

/** A response on its way, with what is known of the response itself: all of it, or only its kind. */
export const responsePost = <Response extends TSchema>(response: Response) =>
  Exact({
    id: Uuid,
    askingId: AskingIdSchema,
    response,
    /** From the question on screen to the response given, in milliseconds, up to a day. */
    responseTimeMs: Type.Integer({ minimum: 0, maximum: 86_400_000 }),
  });

/** Longest wait that a device may report, in milliseconds: a week. */
export const LONGEST_WAIT_MS = 7 * 86_400_000;

/** A response on its way: the id is made on the pupil's device, so that sending it twice keeps it once. */
export const ResponsePost = Type.Composite(
  [
    responsePost(ResponseSchema),
    Type.Object({
      /** How long it waited on the device before it was sent, by the device's clock. A page of before says nothing. */
      waitedMs: Type.Optional(Type.Integer({ minimum: 0, maximum: LONGEST_WAIT_MS })),
    }),
  ],
  { additionalProperties: false },
);
export type ResponsePost = Data<typeof ResponsePost>;

/** Sent once the response is committed to the disk. */
export const ResponseKept = Exact({
  id: Uuid,
  askingId: AskingIdSchema,
  attempt: Type.Integer({ minimum: 1 }),
  receivedAtMs: AtMs,
  /** It came after the question was closed: it is kept, and whether it counts is for the teacher to say. */
  late: Type.Boolean(),
});
export type ResponseKept = Data<typeof ResponseKept>;

export const VerdictSchema = OneOf(['right', 'right-other-form', 'partly', 'not-yet', 'blank']);

export const MarkSchema = Exact({
  verdict: VerdictSchema,
  parts: Type.Array(Exact({ part: Type.Unsafe<PartId>(Type.String()), right: Type.Boolean() })),
  misconceptions: Type.Array(Type.Unsafe<MisconceptionId>(Type.String())),
  sayToPupil: Type.String(),
});

export const SourceSchema = OneOf(['device', 'paper', 'spoken']);

/** An answer that the teacher has on paper or heard, entered for a pupil. The id is made by whoever enters it. */
export const ResponseEntered = Exact({
  id: Uuid,
  pupilId: Uuid,
  askingId: AskingIdSchema,
  source: OneOf(['paper', 'spoken']),
  response: ResponseSchema,
});
export type ResponseEntered = Data<typeof ResponseEntered>;

/** A response as its teacher sees it. */
export const MarkedResponse = Exact({
  id: Uuid,
  pupilId: Uuid,
  askingId: AskingIdSchema,
  attempt: Type.Integer({ minimum: 1 }),
  response: ResponseSchema,
  mark: MarkSchema,
  responseTimeMs: Type.Integer({ minimum: 0 }),
  receivedAtMs: AtMs,
  /** How it came: from the pupil's device, or entered by the teacher. */
  source: SourceSchema,
  /** Null for a response that came in time. */
  late: Nullable(
    Exact({
      /** When it was given: the time it waited on the device, by the device's clock, before the server received it. */
      givenAtMs: AtMs,
      /** When its question was closed; null where the server does not know it any more. */
      closedAtMs: Nullable(AtMs),
      /** The teacher lets it count like one that came in time. */
      counted: Type.Boolean(),
    }),
  ),
  /** Why `mark` is another one than it was marked with at first; null where it is that one. */
  correction: Nullable(
    Exact({
      /** As it was marked at first. */
      was: VerdictSchema,
      /** What was said to the pupil of it then. */
      saidThen: Type.String(),
      reason: Type.String(),
      atMs: AtMs,
      /** It came with a wording that was accepted for the whole class. */
      byWording: Type.Boolean(),
    }),
  ),
});
export type MarkedResponse = Data<typeof MarkedResponse>;
