import { and, eq, gt, lte, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Db } from '../../db/connection.js';
import { loginSession, teacher } from './tables.js';

/** Reads and writes of teachers and their login sessions. */
export function authQueries(db: Db) {
  // Asked by every request of a teacher, so it is prepared once.
  const teacherByToken = db
    .select({ id: teacher.id, name: teacher.name })
    .from(loginSession)
    .innerJoin(teacher, eq(teacher.id, loginSession.teacherId))
    .where(and(eq(loginSession.tokenHash, sql.placeholder('hashOfToken')), gt(loginSession.expiresAtMs, sql.placeholder('nowMs'))))
    .prepare();
  return {
    anyTeacher: () => db.select({ id: teacher.id }).from(teacher).limit(1).get() !== undefined,

    teacherBySignInName: (signInName: string) =>
      db.select().from(teacher).where(eq(teacher.signInName, signInName.trim().toLowerCase())).get(),

    insertTeacher(row: { signInName: string; name: string; passwordHash: string; createdAtMs: number }): string {
      const id = randomUUID();
      db.insert(teacher)
        .values({ ...row, id, signInName: row.signInName.trim().toLowerCase() })
        .run();
      return id;
    },

    teacherByToken: (hashOfToken: string, nowMs: number) => teacherByToken.get({ hashOfToken, nowMs }),

    insertLogin: (row: typeof loginSession.$inferInsert) => db.insert(loginSession).values(row).run(),
    deleteLogin: (hashOfToken: string) => db.delete(loginSession).where(eq(loginSession.tokenHash, hashOfToken)).run(),
    deleteExpired: (nowMs: number) => db.delete(loginSession).where(lte(loginSession.expiresAtMs, nowMs)).run(),
  };
}
