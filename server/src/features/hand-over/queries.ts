import type { ClosingCheck } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { and, asc, count, eq, isNull } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { loginSession, teacher } from '../../tables/auth.js';
import { pupil, schoolClass } from '../../tables/classes.js';
import { savedDial } from '../../tables/dials.js';
import { lesson } from '../../tables/lessons.js';
import { liveSession } from '../../tables/sessions.js';

/** @throws CoreError TEACHER_UNKNOWN */
export function accountOf(db: Db, id: string): { readonly id: string; readonly name: string } {
  const found = db.select({ id: teacher.id, name: teacher.name }).from(teacher).where(eq(teacher.id, id)).get();
  if (!found) throw new CoreError('TEACHER_UNKNOWN', 'No such colleague teaches at this school.');
  return found;
}

/** Somebody else who teaches here. @throws CoreError TEACHER_UNKNOWN */
export function colleague(db: Db, ownId: string, id: string) {
  if (id === ownId) throw new CoreError('TEACHER_UNKNOWN', 'Choose a colleague: it is yours already.');
  return accountOf(db, id);
}

/** How often a class was taught, live or at own pace. */
export const taughtIn = (db: Db, classId: string): number =>
  db.select({ n: count() }).from(liveSession).where(eq(liveSession.classId, classId)).get()!.n;

/** What an account still holds. Simulated pupils are nobody. */
export function whatIsLeft(db: Db, teacherId: string): ClosingCheck {
  const classes = db
    .select({ id: schoolClass.id, name: schoolClass.name, pupils: count(pupil.id) })
    .from(schoolClass)
    .leftJoin(pupil, and(eq(pupil.classId, schoolClass.id), isNull(pupil.leftAtMs)))
    .where(and(eq(schoolClass.teacherId, teacherId), eq(schoolClass.simulated, false)))
    .groupBy(schoolClass.id)
    .orderBy(asc(schoolClass.createdAtMs))
    .all();
  const dials = db
    .select({ n: count() })
    .from(savedDial)
    .where(and(eq(savedDial.teacherId, teacherId), isNull(savedDial.deletedAtMs)))
    .get()!.n;
  return { classes, lessons: lessonIdsOf(db, teacherId).length, dials };
}

export const lessonIdsOf = (db: Db, teacherId: string): string[] =>
  db
    .select({ id: lesson.id })
    .from(lesson)
    .where(eq(lesson.teacherId, teacherId))
    .orderBy(asc(lesson.place))
    .all()
    .map(({ id }) => id);

export function dialsTo(db: Db, fromId: string, toId: string): void {
  db.update(savedDial).set({ teacherId: toId }).where(eq(savedDial.teacherId, fromId)).run();
}

/** Closes an account for good, with rehearsals, lessons and dials that are still in it. @returns the hashes of its logins */
export function closeAccount(db: Db, id: string): string[] {
  const logins = db.delete(loginSession).where(eq(loginSession.teacherId, id)).returning({ hash: loginSession.tokenHash }).all();
  // Rehearsals before lessons: sessions name the version that was taught.
  db.delete(liveSession).where(eq(liveSession.teacherId, id)).run();
  db.delete(teacher).where(eq(teacher.id, id)).run();
  return logins.map(({ hash }) => hash);
}
