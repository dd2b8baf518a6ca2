import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** A teacher who signs in. */
export const teacher = sqliteTable('teacher', {
  id: text().primaryKey(),
  signInName: text('sign_in_name').notNull().unique(),
  name: text().notNull(),
  passwordHash: text('password_hash').notNull(),
  createdAtMs: integer('created_at_ms').notNull(),
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
