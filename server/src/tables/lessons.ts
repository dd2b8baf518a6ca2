import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { teacher } from './auth.js';

export const lesson = sqliteTable(
  'lesson',
  {
    id: text().primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => teacher.id, { onDelete: 'cascade' }),
    title: text().notNull(),
    /** The lesson as it is edited, as its file. */
    draft: text().notNull(),
    /** Counts the changes of the draft. */
    revision: integer().notNull(),
    /** The newest pinned version; 0 while it was never taught. */
    version: integer().notNull(),
    place: integer().notNull(),
    /** When it was put away; null while it is ready to teach. */
    archivedAtMs: integer('archived_at_ms'),
  },
  (table) => [index('lesson_teacher').on(table.teacherId, table.place)],
);

/** Versions of a lesson as its file, one pinned whenever a room opens on a changed draft; a session keeps its own. */
export const lessonVersion = sqliteTable(
  'lesson_version',
  {
    lessonId: text('lesson_id')
      .notNull()
      .references(() => lesson.id, { onDelete: 'cascade' }),
    version: integer().notNull(),
    file: text().notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
  },
  (table) => [primaryKey({ columns: [table.lessonId, table.version] })],
);
