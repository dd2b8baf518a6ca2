import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { pupil } from './classes.js';
import { liveSession } from './sessions.js';

/** A lesson that was given out to be done at one's own pace: what its session has beside a live one. */
export const ownPace = sqliteTable('own_pace', {
  sessionId: text('session_id')
    .primaryKey()
    .references(() => liveSession.id, { onDelete: 'cascade' }),
  /** The first and the last day on which pupils can come in, by the school's calendar. */
  firstDay: text('first_day').$type<IsoDate>().notNull(),
  lastDay: text('last_day').$type<IsoDate>().notNull(),
  /** Whether the room key opens it too, under any name of those it is given to; otherwise join cards alone do. */
  byKey: integer('by_key', { mode: 'boolean' }).notNull(),
  /** Whether it speaks with the teacher's takes. */
  voice: integer({ mode: 'boolean' }).notNull().default(false),
  /** Given to the whole class: whoever comes into it has a place, too. */
  toAll: integer('to_all', { mode: 'boolean' }).notNull(),
  /** What the teacher writes to all; empty where nothing is. */
  line: text().notNull().default(''),
});

/** A pupil to whom a lesson was given, and where the pupil stands in it. */
export const ownPlace = sqliteTable(
  'own_place',
  {
    sessionId: text('session_id')
      .notNull()
      .references(() => ownPace.sessionId, { onDelete: 'cascade' }),
    pupilId: text('pupil_id')
      .notNull()
      .references(() => pupil.id, { onDelete: 'cascade' }),
    /** Run of the core, as JSON with its format version; null until the pupil has begun. */
    run: text(),
    /** When the pupil last went on or answered. */
    heardAtMs: integer('heard_at_ms'),
    finishedAtMs: integer('finished_at_ms'),
    /** What the teacher writes to this pupil; empty where nothing is. */
    line: text().notNull().default(''),
  },
  (table) => [primaryKey({ columns: [table.sessionId, table.pupilId] }), index('own_place_pupil').on(table.pupilId)],
);
