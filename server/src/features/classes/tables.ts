import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { teacher } from '../auth/tables.js';

export const schoolClass = sqliteTable(
  'class',
  {
    id: text().primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => teacher.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    /** Whether pupils wait at the door of a room until they are let in, as the teacher last had it. */
    doorAsks: integer('door_asks', { mode: 'boolean' }).notNull().default(true),
  },
  (table) => [index('class_teacher').on(table.teacherId)],
);

/** A pupil of a class, by display name only. */
export const pupil = sqliteTable(
  'pupil',
  {
    id: text().primaryKey(),
    classId: text('class_id')
      .notNull()
      .references(() => schoolClass.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    /** Place in the class list, from 0. */
    place: integer().notNull(),
  },
  (table) => [index('pupil_class').on(table.classId, table.place)],
);
