import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** A teacher who signs in. */
export const teacher = sqliteTable('teacher', {
  id: text().primaryKey(),
  signInName: text('sign_in_name').notNull().unique(),
  name: text().notNull(),
  passwordHash: text('password_hash').notNull(),
  createdAtMs: integer('created_at_ms').notNull(),
  /** Whether this teacher may invite others: the first of a school may. */
  mayInvite: integer('may_invite', { mode: 'boolean' }).notNull().default(false),
});

/** An invitation that was not used yet; of its one-time code only the SHA-256 is kept. */
export const invitation = sqliteTable('invitation', {
  id: text().primaryKey(),
  codeHash: text('code_hash').notNull().unique(),
  /** A note of whoever invited. */
  forWhom: text('for_whom').notNull(),
  expiresAtMs: integer('expires_at_ms').notNull(),
});

/** A signed-in browser. The cookie holds the token; the table only its SHA-256. */
export const loginSession = sqliteTable(
  'login_session',
  {
    tokenHash: text('token_hash').primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => teacher.id, { onDelete: 'cascade' }),
    expiresAtMs: integer('expires_at_ms').notNull(),
  },
  (table) => [index('login_session_teacher').on(table.teacherId)],
);
