import type { ActName } from '@zeitpunkt/contract';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** What was done at the school. It holds no pupils' names, and outlives those who did it. */
export const schoolAct = sqliteTable(
  'school_act',
  {
    id: integer().primaryKey(),
    atMs: integer('at_ms').notNull(),
    act: text().$type<ActName>().notNull(),
    /** The teacher who did it, by name; empty where it happened by itself. */
    who: text().notNull(),
    /** What it was done to: a class, a colleague, a place for backups. */
    about: text().notNull(),
    /** How many: pupils, answers, lessons; 0 where nothing is counted. */
    count: integer().notNull(),
  },
  (table) => [index('school_act_at').on(table.atMs)],
);

/** What the first teacher set for the school, and what is known of the whole school. */
export const schoolSetting = sqliteTable('school_setting', {
  name: text().$type<'actsKeepDays' | 'pupilsDeletedAtMs'>().primaryKey(),
  value: integer().notNull(),
});
