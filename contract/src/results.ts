import { Type } from '@sinclair/typebox';
import { LessonSettingsSchema, RungIdSchema } from './lesson-file.js';
import { ItemSchema, ResponseSchema } from './question-kinds/registry.js';
import { AskingIdSchema, MarkSchema, SourceSchema } from './responses.js';
import { AtMs, Exact, Nullable, OneOf, ShortText, Uuid } from './shared.js';

/** One answer of a file of results; see ResultRow in the core. */
export const ResultRowSchema = Exact({
  responseId: Uuid,
  pupilId: Uuid,
  pupil: ShortText,
  reference: Nullable(ShortText),
  sessionId: Uuid,
  lesson: ShortText,
  taughtAtMs: AtMs,
  pace: OneOf(['live', 'own']),
  rung: Nullable(RungIdSchema),
  settings: LessonSettingsSchema,
  askingId: AskingIdSchema,
  number: Type.Integer({ minimum: 1, maximum: 1000 }),
  item: ItemSchema,
  attempt: Type.Integer({ minimum: 1 }),
  response: ResponseSchema,
  mark: MarkSchema,
  correction: Nullable(Exact({ mark: MarkSchema, reason: Type.String({ maxLength: 300 }), atMs: AtMs })),
  responseTimeMs: Type.Integer({ minimum: 0 }),
  receivedAtMs: AtMs,
  source: SourceSchema,
  late: Nullable(Exact({ waitedMs: Type.Integer({ minimum: 0 }), closedAtMs: Nullable(AtMs), counted: Type.Boolean() })),
});
