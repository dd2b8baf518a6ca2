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
  /** What one-time codes of a second factor are made from, in Base32; null where there is none. */
  totpSecret: text('totp_secret'),
  /** The time step of the latest one-time code: neither it nor an earlier one signs in again. */
  totpStep: integer('totp_step').notNull().default(0),
  /** When the teacher was last here; null for nobody knows. */
  seenAtMs: integer('seen_at_ms'),
});

/** A one-time code for a teacher who cannot sign in any more; of the code only the SHA-256 is kept. */
export const passwordReset = sqliteTable('password_reset', {
  teacherId: text('teacher_id')
    .primaryKey()
    .references(() => teacher.id, { onDelete: 'cascade' }),
  codeHash: text('code_hash').notNull(),
  expiresAtMs: integer('expires_at_ms').notNull(),
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
    beganAtMs: integer('began_at_ms').notNull().default(0),
    seenAtMs: integer('seen_at_ms').notNull().default(0),
    /** Which browser it is, as far as it says: "Firefox, Linux". */
    browser: text().notNull().default(''),
  },
  (table) => [index('login_session_teacher').on(table.teacherId)],
);
