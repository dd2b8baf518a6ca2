import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { teacher } from './auth.js';

/** A demonstration dial that a teacher saved by name. */
export const savedDial = sqliteTable(
  'saved_dial',
  {
    id: text().primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => teacher.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    /** Place in the teacher's list, from 0. */
    place: integer().notNull(),
    /** DialBuild of the core as JSON, with its format version. */
    build: text().notNull(),
    /** Counts the changes: a change names the one it was made to. */
    version: integer().notNull(),
    /** When it was deleted; it can be brought back for a day. */
    deletedAtMs: integer('deleted_at_ms'),
  },
  (table) => [index('saved_dial_teacher').on(table.teacherId, table.place)],
);
