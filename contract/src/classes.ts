import { PARTS } from './limits.js';
import { Type } from '@sinclair/typebox';
import { type Data, AtMs, Exact, Nullable, OneOf, ShortText, Uuid } from './shared.js';

/**
 * A name that can be seen: no control signs, none that turn the direction of writing, and not of signs alone that show nothing.
 * Joiners stay, which some scripts need.
 */
export const PupilName = Type.String({
  minLength: 1,
  maxLength: 60,
  pattern: '^(?=.*\\S)[^\\p{Cc}\\u200b\\u200e\\u200f\\u2028-\\u202e\\u2060-\\u2069\\ufeff]*$',
});
const Reference = Type.String({ minLength: 1, maxLength: 60 });

/** A pupil as others in the room know one. */
export const Pupil = Exact({ id: Uuid, name: ShortText });
export type Pupil = Data<typeof Pupil>;

export const ClassSummary = Exact({ id: Uuid, name: ShortText, pupilCount: Type.Integer({ minimum: 0 }) });
export type ClassSummary = Data<typeof ClassSummary>;
export const ClassList = Type.Array(ClassSummary);

/** A new class; the id is made by whoever adds it, so that a repeated request adds one. */
/** From when to when the server's clock leapt, where a teacher has to say that the day is right. */
export const ClockLeap = Exact({ leap: Nullable(Exact({ fromMs: AtMs, toMs: AtMs })) });
export type ClockLeap = Data<typeof ClockLeap>;

export const ClassAdd = Exact({ id: Uuid, name: ShortText });
export type ClassAdd = Data<typeof ClassAdd>;

/** So many days after a lesson its answers are deleted; null: when the teacher deletes them. */
export const KeepDays = Nullable(Type.Integer({ minimum: 1, maximum: 3660 }));
export const ClassChange = Exact({ name: Type.Optional(ShortText), keepDays: Type.Optional(KeepDays) });
export type ClassChange = Data<typeof ClassChange>;

/** A pupil as the teacher of the class knows one. */
export const ClassPupil = Exact({
  id: Uuid,
  name: ShortText,
  /** The school's own number or mark for the pupil. */
  reference: Nullable(Reference),
  /** When the pupil left the class; null for one who is in it. */
  leftAtMs: Nullable(AtMs),
  /** When the join card was made; null where there is none. */
  cardAtMs: Nullable(AtMs),
  responseCount: Type.Integer({ minimum: 0 }),
});
export type ClassPupil = Data<typeof ClassPupil>;

export const ClassDetail = Exact({
  id: Uuid,
  name: ShortText,
  keepDays: KeepDays,
  /** Those in the class in its order, and after them those who left. */
  pupils: Type.Array(ClassPupil),
});
export type ClassDetail = Data<typeof ClassDetail>;

/** New pupils; their ids are made by whoever adds them, so that a repeated request adds each once. */
export const PupilsIn = Exact({
  pupils: Type.Array(Exact({ id: Uuid, name: PupilName, reference: Nullable(Reference) }), {
    minItems: 1,
    maxItems: PARTS.pupilsAtOnce.most,
  }),
});
export type PupilsIn = Data<typeof PupilsIn>;
export const PupilChange = Exact({ name: Type.Optional(PupilName), reference: Type.Optional(Nullable(Reference)) });
export type PupilChange = Data<typeof PupilChange>;
export const PupilLeave = Exact({ left: Type.Boolean() });
/** The pupil who stays: everything of the other one becomes theirs. */
export const PupilMerge = Exact({ into: Uuid });
export const PupilMove = Exact({ classId: Uuid });

/** Pupils whose cards are made anew, or taken back. */
export const CardsWish = Exact({ pupilIds: Type.Array(Uuid, { minItems: 1, maxItems: PARTS.pupilsAtOnce.most }) });
export type CardsWish = Data<typeof CardsWish>;
/** New join cards: their tokens are told this once, and kept only as hashes. */
export const CardsMade = Exact({ cards: Type.Array(Exact({ pupilId: Uuid, name: ShortText, token: Type.String() })) });
export type CardsMade = Data<typeof CardsMade>;

/** A list of pupils as a table, as it stands in a file. */
export const RosterFile = Exact({
  encoding: OneOf(['UTF-8', 'UTF-16', 'Windows-1252']),
  rows: Type.Array(Exact({ line: Type.Integer({ minimum: 1 }), cells: Type.Array(Type.String()) })),
});
export type RosterFile = Data<typeof RosterFile>;

/** What would be deleted, were answers kept for so many days. */
export const RetentionCheck = Exact({ sessions: Type.Integer({ minimum: 0 }), responses: Type.Integer({ minimum: 0 }) });
export type RetentionCheck = Data<typeof RetentionCheck>;

/** What was done with the data of a class: deletions, exports, merges. Names are not kept in it. */
export const DataRecord = Type.Array(
  Exact({
    atMs: AtMs,
    act: OneOf([
      'pupil-deleted',
      'pupil-exported',
      'list-exported',
      'pupils-merged',
      'cards-made',
      'cards-revoked',
      'retention',
      'results-exported',
      'results-taken',
      'class-exported',
      'class-taken',
    ]),
    /** How many pupils, cards or lessons it was about. */
    count: Type.Integer({ minimum: 0 }),
  }),
);
export type DataRecord = Data<typeof DataRecord>;
export type DataAct = DataRecord[number]['act'];
