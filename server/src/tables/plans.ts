import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { schoolClass } from './classes.js';

/** What is planned for a class; none where nothing was planned yet. */
export const classPlan = sqliteTable('class_plan', {
  classId: text('class_id')
    .primaryKey()
    .references(() => schoolClass.id, { onDelete: 'cascade' }),
  /** ClassPlan of the core as JSON, with its format version. */
  plan: text().notNull(),
  /** Counts the changes: a change names the one it was made to. */
  revision: integer().notNull(),
});
