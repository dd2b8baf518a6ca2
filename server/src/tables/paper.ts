import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { teacher } from './auth.js';
import { pupil, schoolClass } from './classes.js';
import { lesson } from './lessons.js';
import { liveSession } from './sessions.js';

/** A sheet as it was printed, so that its answers can be typed in even when its lesson has changed since. */
export const sheet = sqliteTable(
  'sheet',
  {
    id: text().primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => teacher.id, { onDelete: 'cascade' }),
    /** The lesson that it was made from. */
    lessonId: text('lesson_id')
      .notNull()
      .references(() => lesson.id, { onDelete: 'cascade' }),
    /** The class whose pupils it names; null where names are written by hand. */
    classId: text('class_id').references(() => schoolClass.id, { onDelete: 'cascade' }),
    /** Printed on it; unique for the teacher. */
    code: text().notNull(),
    /** A lesson file that holds the questions of all versions, one version after the other. */
    file: text().notNull(),
    /** How many versions there are, each with as many questions. */
    versions: integer().notNull(),
    madeAtMs: integer('made_at_ms').notNull(),
  },
  (table) => [index('sheet_lesson').on(table.lessonId, table.madeAtMs), uniqueIndex('sheet_code').on(table.teacherId, table.code)],
);

/** Which version of a sheet a pupil has. */
export const sheetCopy = sqliteTable(
  'sheet_copy',
  {
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheet.id, { onDelete: 'cascade' }),
    pupilId: text('pupil_id')
      .notNull()
      .references(() => pupil.id, { onDelete: 'cascade' }),
    /** From 0. */
    version: integer().notNull(),
  },
  (table) => [primaryKey({ columns: [table.sheetId, table.pupilId] }), index('sheet_copy_pupil').on(table.pupilId)],
);

/** The session that holds the answers of a class to a sheet. */
export const sheetSession = sqliteTable(
  'sheet_session',
  {
    sessionId: text('session_id')
      .primaryKey()
      .references(() => liveSession.id, { onDelete: 'cascade' }),
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheet.id, { onDelete: 'cascade' }),
    classId: text('class_id')
      .notNull()
      .references(() => schoolClass.id, { onDelete: 'cascade' }),
  },
  (table) => [uniqueIndex('sheet_session_of').on(table.sheetId, table.classId)],
);
