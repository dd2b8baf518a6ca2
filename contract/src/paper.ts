import { Type } from '@sinclair/typebox';
import { LessonSchema } from './lesson-file.js';
import { AtMs, type Data, Exact, Nullable, ShortText, Uuid } from './shared.js';

/** A number of a version of a sheet, from 0. */
const VersionNumber = Type.Integer({ minimum: 0, maximum: 5 });
const SheetCode = Type.String({ pattern: '^[A-Z2-9]{4}$' });
const CopiesSchema = Type.Array(Exact({ pupilId: Uuid, version: VersionNumber }), { maxItems: 60 });

/** A sheet to be kept: the questions of all its versions as a lesson file, one version after the other. */
export const SheetKeep = Exact({
  id: Uuid,
  lessonId: Uuid,
  file: LessonSchema,
  versions: Type.Integer({ minimum: 1, maximum: 6 }),
  classId: Nullable(Uuid),
  copies: CopiesSchema,
});
export type SheetKeep = Data<typeof SheetKeep>;
export const SheetKept = Exact({ id: Uuid, code: SheetCode });
export type SheetKept = Data<typeof SheetKept>;

/** Sheets of a lesson, the newest first. */
export const SheetList = Exact({
  sheets: Type.Array(
    Exact({
      id: Uuid,
      code: SheetCode,
      title: ShortText,
      versions: Type.Integer({ minimum: 1 }),
      /** In each version. */
      questions: Type.Integer({ minimum: 1 }),
      madeAtMs: AtMs,
      classId: Nullable(Uuid),
      /** Where its answers are, class by class: how many pupils the class has, and of how many answers are there. */
      sessions: Type.Array(
        Exact({
          sessionId: Uuid,
          classId: Uuid,
          className: ShortText,
          pupils: Type.Integer({ minimum: 0 }),
          answered: Type.Integer({ minimum: 0 }),
        }),
      ),
    }),
  ),
});
export type SheetList = Data<typeof SheetList>;

export const SheetDetail = Exact({
  id: Uuid,
  code: SheetCode,
  file: LessonSchema,
  versions: Type.Integer({ minimum: 1 }),
  copies: Type.Array(Exact({ pupilId: Uuid, pupil: ShortText, version: VersionNumber })),
});
export type SheetDetail = Data<typeof SheetDetail>;

/** A sheet by the code that stands on it. */
export const SheetFound = Exact({ id: Uuid, classId: Nullable(Uuid) });
export type SheetFound = Data<typeof SheetFound>;

export const SheetAnswersOpen = Exact({ classId: Uuid });
export const SheetAnswers = Exact({ sessionId: Uuid });
export type SheetAnswers = Data<typeof SheetAnswers>;

/** What the sheet of a session is, for whoever types in its answers; null for a session without one. */
export const SheetOfSession = Exact({
  sheet: Nullable(
    Exact({
      code: SheetCode,
      /** Asking ids, version by version, question by question. */
      versions: Type.Array(Type.Array(Type.String())),
      copies: CopiesSchema,
    }),
  ),
});
export type SheetOfSession = Data<typeof SheetOfSession>;
