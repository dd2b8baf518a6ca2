import type { GroupKey } from '@zeitpunkt/core/insight/groups';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { Type } from '@sinclair/typebox';
import { Pupil } from './classes.js';
import { RungIdSchema, LessonSettingsSchema } from './lesson-file.js';
import { ItemSchema, ResponseSchema } from './question-kinds/registry.js';
import { AskingIdSchema, SourceSchema, VerdictSchema } from './responses.js';
import { AtMs, type Data, Exact, LongText, Nullable, OneOf, ShortText, TaggedUnion, Uuid } from './shared.js';

/**
 * All that a class answered, one line of JSON after the other (NDJSON): the class first, then each lesson, the oldest first.
 * Of each pupil the latest answer that counts to each question.
 */
export const InsightLine = TaggedUnion('line', [
  Exact({
    line: Type.Literal('class'),
    id: Uuid,
    name: ShortText,
    pupils: Type.Array(Pupil),
    /** How many lessons follow. */
    sessions: Type.Integer({ minimum: 0 }),
  }),
  Exact({
    line: Type.Literal('session'),
    id: Uuid,
    title: ShortText,
    createdAtMs: AtMs,
    pace: OneOf(['live', 'own']),
    /** Of the lesson, where its times do not tell it. */
    rung: Nullable(RungIdSchema),
    settings: LessonSettingsSchema,
    askings: Type.Array(Exact({ id: AskingIdSchema, item: ItemSchema })),
    answers: Type.Array(
      Exact({
        id: Uuid,
        pupilId: Uuid,
        askingId: AskingIdSchema,
        response: ResponseSchema,
        /** With corrections. */
        verdict: VerdictSchema,
        ideas: Type.Array(Type.Unsafe<MisconceptionId>(Type.String())),
        responseTimeMs: Type.Integer({ minimum: 0 }),
        atMs: AtMs,
        source: SourceSchema,
      }),
    ),
  }),
  /** A lesson that cannot be read is told, and the others come all the same. */
  Exact({ line: Type.Literal('unreadable'), why: Type.String() }),
]);
export type InsightLine = Data<typeof InsightLine>;

const HandsSchema = Exact({
  hourDeg: Type.Number({ minimum: 0, exclusiveMaximum: 360 }),
  minuteDeg: Type.Number({ minimum: 0, exclusiveMaximum: 360 }),
});
/** What was asked and what was answered, as hands of two dials; see IdeaPair in the core. */
const IdeaPairSchema = Exact({
  act: OneOf(['read', 'set']),
  at: Type.Integer({ minimum: 0, maximum: 86_399 }),
  asked: HandsSchema,
  answered: HandsSchema,
  answeredAt: Nullable(Type.Integer({ minimum: 0, maximum: 86_399 })),
});

/** Where a class stands: how many pupils are at which word on each rung that was asked, lowest first, and what its lessons showed. */
export const ClassStanding = Exact({
  rungs: Type.Array(
    Exact({
      rung: RungIdSchema,
      words: Exact({
        sure: Type.Integer({ minimum: 0 }),
        nearly: Type.Integer({ minimum: 0 }),
        partly: Type.Integer({ minimum: 0 }),
        'not-yet': Type.Integer({ minimum: 0 }),
        'too-few': Type.Integer({ minimum: 0 }),
      }),
    }),
  ),
  /** Who is in it. */
  names: Type.Array(Pupil),
  /** Of each pupil who answered: the highest rung that is sure or nearly so, and when the last answer came. */
  pupils: Type.Array(Exact({ id: Uuid, rung: Nullable(RungIdSchema), lastMs: AtMs })),
  /** Of each lesson: how many pupils answered, and how many of the answers to each question were right. */
  lessons: Type.Array(
    Exact({
      id: Uuid,
      answered: Type.Integer({ minimum: 0 }),
      questions: Type.Array(Exact({ right: Type.Integer({ minimum: 0 }), answers: Type.Integer({ minimum: 0 }) })),
    }),
  ),
  /** What stood out in the last lesson: ideas that alone explain an answer, those of most pupils first. */
  stoodOut: Nullable(
    Exact({
      sessionId: Uuid,
      title: ShortText,
      createdAtMs: AtMs,
      answered: Type.Integer({ minimum: 0 }),
      ideas: Type.Array(
        Exact({ id: Type.Unsafe<MisconceptionId>(Type.String()), pupilIds: Type.Array(Uuid), pair: Nullable(IdeaPairSchema) }),
      ),
    }),
  ),
});
export type ClassStanding = Data<typeof ClassStanding>;

/** Corrects the mark of an answer. The id is made by whoever corrects. */
export const MarkCorrect = Exact({
  id: Uuid,
  verdict: OneOf(['right', 'partly', 'not-yet']),
  reason: Type.String({ minLength: 1, maxLength: 300, pattern: '\\S' }),
});
export type MarkCorrect = Data<typeof MarkCorrect>;

/** Lets a wording count that is not in the word pack, for the time of an answer and the whole class. */
export const WordingAccept = Exact({ id: Uuid, responseId: Uuid, wording: Type.String({ minLength: 1, maxLength: 120, pattern: '\\S' }) });
export type WordingAccept = Data<typeof WordingAccept>;

/** A wording that counts in a class. */
export const AcceptedWording = Exact({
  id: Uuid,
  wording: Type.String(),
  /** What it says: seconds since midnight or noon. */
  timeSec: Type.Integer({ minimum: 0, maximum: 43_199 }),
  atMs: AtMs,
  /** Answers that it made right. */
  answers: Type.Integer({ minimum: 0 }),
});
export type AcceptedWording = Data<typeof AcceptedWording>;

/** A teacher's remark on a pupil, or on one answer of theirs. It is for teachers only. */
export const CommentAdd = Exact({
  id: Uuid,
  responseId: Nullable(Uuid),
  text: Type.String({ minLength: 1, maxLength: 1000, pattern: '\\S' }),
});
export type CommentAdd = Data<typeof CommentAdd>;
export const Comment = Exact({ id: Uuid, pupilId: Uuid, responseId: Nullable(Uuid), text: LongText, atMs: AtMs });
export type Comment = Data<typeof Comment>;

export const GroupKeySchema = Type.Unsafe<GroupKey>(Type.String({ pattern: '^(idea|rung|next):[a-z0-9-]{1,40}$' }));
/** A pupil whom the teacher put into a group; null: where the proposal has them. */
export const GroupMove = Exact({ pupilId: Uuid, key: Nullable(GroupKeySchema) });
export type GroupMove = Data<typeof GroupMove>;

/** A page for home as the teacher left it. */
export const HomePageEdit = Exact({ can: LongText, next: LongText, tryThis: LongText });
export type HomePageEdit = Data<typeof HomePageEdit>;
export const HomePageKept = Exact({ pupilId: Uuid, page: HomePageEdit, atMs: AtMs });
export type HomePageKept = Data<typeof HomePageKept>;

/** What teachers themselves made of a class: it stands beside what is computed. */
export const ReviewNotes = Exact({
  comments: Type.Array(Comment),
  moves: Type.Array(Exact({ pupilId: Uuid, key: GroupKeySchema })),
  wordings: Type.Array(AcceptedWording),
  homePages: Type.Array(HomePageKept),
});
export type ReviewNotes = Data<typeof ReviewNotes>;

/** What a file of results would bring, or has brought, into a class. */
export const ResultsTaken = Exact({
  rows: Type.Integer({ minimum: 0 }),
  /** Answers that are there already, as they are in the file. */
  known: Type.Integer({ minimum: 0 }),
  added: Type.Integer({ minimum: 0 }),
  lessons: Type.Array(ShortText),
  newPupils: Type.Array(ShortText),
});
export type ResultsTaken = Data<typeof ResultsTaken>;
