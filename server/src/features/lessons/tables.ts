import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { teacher } from '../auth/tables.js';

export const lesson = sqliteTable(
  'lesson',
  {
    id: text().primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => teacher.id, { onDelete: 'cascade' }),
    /** The newest version. */
    version: integer().notNull(),
    place: integer().notNull(),
  },
  (table) => [index('lesson_teacher').on(table.teacherId, table.place)],
);

/** Every version of a lesson as its file; a session keeps the one it was taught from. */
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
