import { and, asc, count, eq, max } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { CoreError } from '@zeitpunkt/core';
import type { Db } from '../../db/connection.js';
import { pupil, schoolClass } from './tables.js';

/** Adds a class with its pupils in the order given; returns the class's id and the pupils. */
export function insertClass(db: Db, row: { teacherId: string; name: string; pupilNames: readonly string[]; createdAtMs: number }) {
  const id = randomUUID();
  db.insert(schoolClass).values({ id, teacherId: row.teacherId, name: row.name, createdAtMs: row.createdAtMs }).run();
  const pupils = row.pupilNames.map((name, place) => ({ id: randomUUID(), classId: id, name, place }));
  db.insert(pupil).values(pupils).run();
  return { id, pupils };
}

/** A teacher's classes with how many pupils each has. */
export function classesOf(db: Db, teacherId: string) {
  return db
    .select({ id: schoolClass.id, name: schoolClass.name, pupilCount: count(pupil.id) })
    .from(schoolClass)
    .leftJoin(pupil, eq(pupil.classId, schoolClass.id))
    .where(eq(schoolClass.teacherId, teacherId))
    .groupBy(schoolClass.id)
    .orderBy(asc(schoolClass.createdAtMs))
    .all();
}

/** A class if it belongs to the teacher. */
export function ownClass(db: Db, teacherId: string, classId: string) {
  return db
    .select({ id: schoolClass.id, name: schoolClass.name })
    .from(schoolClass)
    .where(and(eq(schoolClass.id, classId), eq(schoolClass.teacherId, teacherId)))
    .get();
}

/** A class of the teacher's. @throws CoreError NOT_FOUND */
export function mustOwnClass(db: Db, teacherId: string, classId: string) {
  const found = ownClass(db, teacherId, classId);
  if (!found) throw new CoreError('NOT_FOUND', 'There is no such class among yours.');
  return found;
}

/** The pupils of a class in its order. */
export function pupilsOf(db: Db, classId: string) {
  return db.select({ id: pupil.id, name: pupil.name }).from(pupil).where(eq(pupil.classId, classId)).orderBy(asc(pupil.place)).all();
}

/** A pupil by id, with the class. */
export function findPupil(db: Db, id: string) {
  return db.select().from(pupil).where(eq(pupil.id, id)).get();
}

/** Adds a pupil at the end of the class. */
export function insertPupil(db: Db, row: { id: string; classId: string; name: string }): void {
  const last = db
    .select({ place: max(pupil.place) })
    .from(pupil)
    .where(eq(pupil.classId, row.classId))
    .get()?.place;
  db.insert(pupil)
    .values({ ...row, place: (last ?? -1) + 1 })
    .run();
}

export function renamePupil(db: Db, id: string, name: string): void {
  db.update(pupil).set({ name }).where(eq(pupil.id, id)).run();
}

/** Deletes a pupil with all that the pupil ever gave. */
export function deletePupil(db: Db, id: string): void {
  db.delete(pupil).where(eq(pupil.id, id)).run();
}

/** Deletes a class with its pupils, sessions and all their responses. */
export function deleteClass(db: Db, id: string): void {
  db.delete(schoolClass).where(eq(schoolClass.id, id)).run();
}
