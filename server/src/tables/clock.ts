import { integer, sqliteTable } from 'drizzle-orm/sqlite-core';

/** The school's clock: one row, the time that was last seen on it and believed. */
export const schoolClock = sqliteTable('school_clock', {
  id: integer().primaryKey(),
  seenAtMs: integer('seen_at_ms').notNull(),
});
