import { blob, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { lesson } from './lessons.js';

/** That a lesson has a recording, and how long it is kept. */
export const recording = sqliteTable('recording', {
  lessonId: text('lesson_id')
    .primaryKey()
    .references(() => lesson.id, { onDelete: 'cascade' }),
  /** It is deleted when nothing was added to it for so many days. */
  keepDays: integer('keep_days').notNull(),
  changedAtMs: integer('changed_at_ms').notNull(),
});

/** What was said at a step of a lesson. */
export const take = sqliteTable(
  'take',
  {
    id: text().primaryKey(),
    lessonId: text('lesson_id')
      .notNull()
      .references(() => recording.lessonId, { onDelete: 'cascade' }),
    beatId: text('beat_id').notNull(),
    step: text().notNull(),
    /** It is coming piece by piece; or it is the one of its step; or the one before that, which can be brought back. */
    state: text({ enum: ['coming', 'current', 'before'] }).notNull(),
    mime: text().notNull(),
    /** Take of the core as JSON with its format version; null until it has come whole. */
    document: text(),
    /** The whole sound; null until it has come. */
    sound: blob({ mode: 'buffer' }),
  },
  (table) => [index('take_lesson').on(table.lessonId)],
);

/** A piece of a take that is coming, from 0 on: as the microphone gave it, or of its finished sound. */
export const takePiece = sqliteTable(
  'take_piece',
  {
    takeId: text('take_id')
      .notNull()
      .references(() => take.id, { onDelete: 'cascade' }),
    what: text({ enum: ['take', 'sound'] }).notNull(),
    number: integer().notNull(),
    bytes: blob({ mode: 'buffer' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.takeId, table.what, table.number] })],
);
