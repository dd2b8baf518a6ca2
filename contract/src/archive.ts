import { Type } from '@sinclair/typebox';
import { KeepDays } from './classes.js';
import { ReviewNotes } from './review.js';
import { AtMs, type Data, Exact, Nullable, OneOf, ShortText, Uuid } from './shared.js';

/** A class in its archive; see ClassFile in the core. */
export const ClassFileSchema = Exact({
  name: ShortText,
  keepDays: KeepDays,
  doorAdmits: OneOf(['one-by-one', 'class-list', 'all']),
  pupils: Type.Array(
    Exact({
      id: Uuid,
      name: Type.String({ minLength: 1, maxLength: 60 }),
      reference: Nullable(Type.String({ minLength: 1, maxLength: 60 })),
      leftAtMs: Nullable(AtMs),
    }),
    { maxItems: 2000 },
  ),
  notes: ReviewNotes,
});

/** What an archive would bring, or has brought. */
export const ArchiveFound = Exact({
  name: ShortText,
  pupils: Type.Integer({ minimum: 0 }),
  lessons: Type.Array(ShortText),
  /** Lessons that were taught, and the answers in them. */
  sessions: Type.Integer({ minimum: 0 }),
  answers: Type.Integer({ minimum: 0 }),
  /** The class that it became; null while it is only looked at. */
  classId: Nullable(Uuid),
});
export type ArchiveFound = Data<typeof ArchiveFound>;
