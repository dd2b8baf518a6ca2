import { and, asc, eq, gt, lte, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Db } from '../../db/connection.js';
import { invitation, loginSession, teacher } from '../../tables/auth.js';

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

    insertTeacher(row: Omit<typeof teacher.$inferInsert, 'id'>): string {
      const id = randomUUID();
      db.insert(teacher)
        .values({ ...row, id, signInName: row.signInName.trim().toLowerCase() })
        .run();
      return id;
    },

    teacherByToken: (hashOfToken: string, nowMs: number) => teacherByToken.get({ hashOfToken, nowMs }),

    insertLogin: (row: typeof loginSession.$inferInsert) => db.insert(loginSession).values(row).run(),
    deleteLogin: (hashOfToken: string) => db.delete(loginSession).where(eq(loginSession.tokenHash, hashOfToken)).run(),
    /** Whether a teacher may invite others. */
    mayInvite: (id: string) => db.select({ may: teacher.mayInvite }).from(teacher).where(eq(teacher.id, id)).get()?.may ?? false,

    teachers: () => db.select({ id: teacher.id, name: teacher.name }).from(teacher).orderBy(asc(teacher.createdAtMs)).all(),

    /** Invitations that can still be used, the newest last. */
    invitations: (nowMs: number) =>
      db
        .select({ id: invitation.id, forWhom: invitation.forWhom, expiresAtMs: invitation.expiresAtMs })
        .from(invitation)
        .where(gt(invitation.expiresAtMs, nowMs))
        .orderBy(asc(invitation.expiresAtMs))
        .all(),

    /** Adds an invitation, or gives one a new code. */
    putInvitation: (row: typeof invitation.$inferInsert) =>
      db
        .insert(invitation)
        .values(row)
        .onConflictDoUpdate({ target: invitation.id, set: { codeHash: row.codeHash, expiresAtMs: row.expiresAtMs } })
        .run(),

    deleteInvitation: (id: string) => db.delete(invitation).where(eq(invitation.id, id)).run(),

    /** Uses an invitation up. Says whether there was one. */
    useInvitation: (hashOfCode: string, nowMs: number) =>
      db
        .delete(invitation)
        .where(and(eq(invitation.codeHash, hashOfCode), gt(invitation.expiresAtMs, nowMs)))
        .run().changes > 0,

    deleteExpired: (nowMs: number) => db.delete(loginSession).where(lte(loginSession.expiresAtMs, nowMs)).run(),
  };
}
