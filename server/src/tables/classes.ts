import type { DataAct } from '@zeitpunkt/contract';
import type { DoorMode } from '@zeitpunkt/core/live/door';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { teacher } from './auth.js';

export const schoolClass = sqliteTable(
  'class',
  {
    id: text().primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => teacher.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    /** Who is in a room at once, as the teacher last had it. */
    doorAdmits: text('door_admits').$type<DoorMode>().notNull().default('one-by-one'),
    /** Its pupils are simulated, for rehearsing: it stands in no list of classes, and nothing of it counts for another. */
    simulated: integer({ mode: 'boolean' }).notNull().default(false),
    /** So many days after a lesson its answers are deleted; null: when the teacher deletes them. */
    keepDays: integer('keep_days'),
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
    /** The school's own number or mark for the pupil. */
    reference: text(),
    /** When the pupil left the class; null for one who is in it. */
    leftAtMs: integer('left_at_ms'),
    /** Place in the class list, from 0. */
    place: integer().notNull(),
  },
  (table) => [index('pupil_class').on(table.classId, table.place)],
);

/** The join card of a pupil: one at a time, of whose token only the SHA-256 is kept. */
export const card = sqliteTable('card', {
  pupilId: text('pupil_id')
    .primaryKey()
    .references(() => pupil.id, { onDelete: 'cascade' }),
  tokenHash: text('token_hash').notNull().unique(),
  madeAtMs: integer('made_at_ms').notNull(),
});

/** What was done with the data of a class. It holds no names, and goes with its class. */
export const dataRecord = sqliteTable(
  'data_record',
  {
    id: integer().primaryKey(),
    classId: text('class_id')
      .notNull()
      .references(() => schoolClass.id, { onDelete: 'cascade' }),
    act: text().$type<DataAct>().notNull(),
    count: integer().notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (table) => [index('data_record_class').on(table.classId, table.atMs)],
);
