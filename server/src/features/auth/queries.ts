import { and, asc, desc, eq, gt, lte, ne, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Db } from '../../db/connection.js';
import { invitation, loginSession, passwordReset, teacher } from '../../tables/auth.js';

/** Reads and writes of teachers and their login sessions. */
export function authQueries(db: Db) {
  // Asked by every request of a teacher, so it is prepared once.
  const teacherByToken = db
    .select({ id: teacher.id, name: teacher.name, seenAtMs: loginSession.seenAtMs })
    .from(loginSession)
    .innerJoin(teacher, eq(teacher.id, loginSession.teacherId))
    .where(and(eq(loginSession.tokenHash, sql.placeholder('hashOfToken')), gt(loginSession.expiresAtMs, sql.placeholder('nowMs'))))
    .prepare();
  return {
    ...loginQueries(db),
    ...invitationQueries(db),
    ...resetQueries(db),

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
    teacherById: (id: string) => db.select().from(teacher).where(eq(teacher.id, id)).get(),
    changeTeacher: (id: string, change: Partial<Omit<typeof teacher.$inferInsert, 'id'>>) =>
      db.update(teacher).set(change).where(eq(teacher.id, id)).run(),

    /** Whether a teacher is the first of the school. */
    mayInvite: (id: string) => db.select({ may: teacher.mayInvite }).from(teacher).where(eq(teacher.id, id)).get()?.may ?? false,
  };
}

export type AuthQueries = ReturnType<typeof authQueries>;

/** Browsers in which teachers are signed in. */
const loginQueries = (db: Db) => ({
  insertLogin: (row: typeof loginSession.$inferInsert) => db.insert(loginSession).values(row).run(),
  deleteLogin: (hashOfToken: string) => db.delete(loginSession).where(eq(loginSession.tokenHash, hashOfToken)).run(),
  deleteExpired: (nowMs: number) => db.delete(loginSession).where(lte(loginSession.expiresAtMs, nowMs)).run(),

  /** Writes down that a login was used, and its teacher was here. */
  seen: (hashOfToken: string, teacherId: string, seenAtMs: number) => {
    db.update(loginSession).set({ seenAtMs }).where(eq(loginSession.tokenHash, hashOfToken)).run();
    db.update(teacher).set({ seenAtMs }).where(eq(teacher.id, teacherId)).run();
  },

  /** The logins of a teacher that count, the one that was used last before the others. */
  loginsOf: (teacherId: string, nowMs: number) =>
    db
      .select()
      .from(loginSession)
      .where(and(eq(loginSession.teacherId, teacherId), gt(loginSession.expiresAtMs, nowMs)))
      .orderBy(desc(loginSession.seenAtMs))
      .all(),

  /** Ends all logins of a teacher but one. @returns the hashes of their tokens */
  deleteLogins: (teacherId: string, exceptHash = ''): string[] =>
    db
      .delete(loginSession)
      .where(and(eq(loginSession.teacherId, teacherId), ne(loginSession.tokenHash, exceptHash)))
      .returning({ hash: loginSession.tokenHash })
      .all()
      .map(({ hash }) => hash),
});

/** Invitations that were not used yet. */
const invitationQueries = (db: Db) => ({
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

  deleteInvitation: (id: string) => db.delete(invitation).where(eq(invitation.id, id)).returning({ forWhom: invitation.forWhom }).get(),

  /** Uses an invitation up. Says whether there was one. */
  useInvitation: (hashOfCode: string, nowMs: number) =>
    db
      .delete(invitation)
      .where(and(eq(invitation.codeHash, hashOfCode), gt(invitation.expiresAtMs, nowMs)))
      .run().changes > 0,
});

/** Codes with which a new password is chosen. */
const resetQueries = (db: Db) => ({
  putReset: (row: typeof passwordReset.$inferInsert) =>
    db.insert(passwordReset).values(row).onConflictDoUpdate({ target: passwordReset.teacherId, set: row }).run(),

  /** Uses the code of a teacher up. Says whether it was right. */
  useReset: (teacherId: string, codeHash: string, nowMs: number) =>
    db
      .delete(passwordReset)
      .where(and(eq(passwordReset.teacherId, teacherId), eq(passwordReset.codeHash, codeHash), gt(passwordReset.expiresAtMs, nowMs)))
      .run().changes > 0,
});
