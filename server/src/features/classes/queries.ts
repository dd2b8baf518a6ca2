import { and, asc, count, eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
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

/** The pupils of a class in its order. */
export function pupilsOf(db: Db, classId: string) {
  return db.select({ id: pupil.id, name: pupil.name }).from(pupil).where(eq(pupil.classId, classId)).orderBy(asc(pupil.place)).all();
}
