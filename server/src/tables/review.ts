import type { GroupKey } from '@zeitpunkt/core/insight/groups';
import type { Verdict } from '@zeitpunkt/core/question-kinds/question-kind';
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { pupil, schoolClass } from './classes.js';
import { response } from './sessions.js';

/** A wording of a time that counts in a class though the word pack does not have it. */
export const acceptedWording = sqliteTable(
  'accepted_wording',
  {
    id: text().primaryKey(),
    classId: text('class_id')
      .notNull()
      .references(() => schoolClass.id, { onDelete: 'cascade' }),
    wording: text().notNull(),
    /** What it says, in seconds since midnight or noon. */
    timeSec: integer('time_sec').notNull(),
    atMs: integer('at_ms').notNull(),
    /** When it was taken back; null while it counts. */
    undoneAtMs: integer('undone_at_ms'),
  },
  (table) => [index('accepted_wording_class').on(table.classId)],
);

/** Another mark for a response, by the teacher: it stands beside the one that was given at first. The latest that is not undone counts. */
export const correction = sqliteTable(
  'correction',
  {
    id: text().primaryKey(),
    responseId: text('response_id')
      .notNull()
      .references(() => response.id, { onDelete: 'cascade' }),
    /** Mark of the core as JSON with its format version, as it is to be. */
    mark: text().notNull(),
    /** As it was marked at first. */
    was: text().$type<Verdict>().notNull(),
    reason: text().notNull(),
    /** The wording that brought it; null where the teacher corrected this one answer. */
    wordingId: text('wording_id').references(() => acceptedWording.id, { onDelete: 'cascade' }),
    atMs: integer('at_ms').notNull(),
    undoneAtMs: integer('undone_at_ms'),
  },
  (table) => [index('correction_response').on(table.responseId), index('correction_wording').on(table.wordingId)],
);

/** A teacher's remark on a pupil or on one answer; pupils do not see it. */
export const comment = sqliteTable(
  'comment',
  {
    id: text().primaryKey(),
    pupilId: text('pupil_id')
      .notNull()
      .references(() => pupil.id, { onDelete: 'cascade' }),
    responseId: text('response_id').references(() => response.id, { onDelete: 'cascade' }),
    text: text().notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (table) => [index('comment_pupil').on(table.pupilId), index('comment_response').on(table.responseId)],
);

/** A pupil whom the teacher put into a group for the next lesson. */
export const groupMove = sqliteTable(
  'group_move',
  {
    classId: text('class_id')
      .notNull()
      .references(() => schoolClass.id, { onDelete: 'cascade' }),
    pupilId: text('pupil_id')
      .notNull()
      .references(() => pupil.id, { onDelete: 'cascade' }),
    key: text().$type<GroupKey>().notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (table) => [primaryKey({ columns: [table.classId, table.pupilId] }), index('group_move_pupil').on(table.pupilId)],
);

/** A pupil's page for home as the teacher left it; where there is none the page is what is proposed. */
export const homePage = sqliteTable('home_page', {
  pupilId: text('pupil_id')
    .primaryKey()
    .references(() => pupil.id, { onDelete: 'cascade' }),
  can: text().notNull(),
  next: text().notNull(),
  tryThis: text('try_this').notNull(),
  atMs: integer('at_ms').notNull(),
});
