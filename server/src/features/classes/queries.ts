import { and, asc, count, desc, eq, inArray, isNull, max, ne, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { DataAct } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Db } from '../../db/connection.js';
import { noteAct } from '../acts/gives.js';
import { response } from '../../tables/sessions.js';
import { card, dataRecord, pupil, schoolClass } from '../../tables/classes.js';

/** A new class keeps its answers so many days: a school year and the holidays after it. */
export const NEW_CLASS_KEEPS_DAYS = 400;
/** So much of what was done with a class's data is told, the newest first. */
const RECORDS_TOLD = 100;

/** Adds a class with its pupils in the order given; returns the class's id and the pupils. */
export function insertClass(
  db: Db,
  row: {
    id?: string;
    teacherId: string;
    name: string;
    pupilNames: readonly string[];
    createdAtMs: number;
    simulated?: boolean;
    keepDays?: number | null;
  },
) {
  const { id = randomUUID(), teacherId, name, createdAtMs, simulated = false, keepDays = NEW_CLASS_KEEPS_DAYS } = row;
  db.insert(schoolClass).values({ id, teacherId, name, createdAtMs, simulated, keepDays }).run();
  const pupils = row.pupilNames.map((pupilName, place) => ({ id: randomUUID(), classId: id, name: pupilName, place }));
  if (pupils.length > 0) db.insert(pupil).values(pupils).run();
  return { id, pupils };
}

/** The class of a teacher's simulated pupils, if there is one yet. */
export function simulatedClassOf(db: Db, teacherId: string): string | undefined {
  return db
    .select({ id: schoolClass.id })
    .from(schoolClass)
    .where(and(eq(schoolClass.teacherId, teacherId), eq(schoolClass.simulated, true)))
    .get()?.id;
}

/** A teacher's classes with how many pupils are in each; simulated ones are none. */
export function classesOf(db: Db, teacherId: string) {
  return db
    .select({ id: schoolClass.id, name: schoolClass.name, pupilCount: count(pupil.id) })
    .from(schoolClass)
    .leftJoin(pupil, and(eq(pupil.classId, schoolClass.id), isNull(pupil.leftAtMs)))
    .where(and(eq(schoolClass.teacherId, teacherId), eq(schoolClass.simulated, false)))
    .groupBy(schoolClass.id)
    .orderBy(asc(schoolClass.createdAtMs))
    .all();
}

/** Every class of the school, whoever teaches it. */
export function allClasses(db: Db) {
  return db.select({ id: schoolClass.id, keepDays: schoolClass.keepDays }).from(schoolClass).all();
}

/** A class if it belongs to the teacher. */
export function ownClass(db: Db, teacherId: string, classId: string) {
  return db
    .select({ id: schoolClass.id, name: schoolClass.name, keepDays: schoolClass.keepDays })
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

/** Whose a class is; undefined where there is none. */
export function ownerOf(db: Db, classId: string) {
  return db.select({ teacherId: schoolClass.teacherId }).from(schoolClass).where(eq(schoolClass.id, classId)).get()?.teacherId;
}

export function changeClass(db: Db, id: string, change: { readonly name?: string; readonly keepDays?: number | null }): void {
  if (Object.keys(change).length > 0) db.update(schoolClass).set(change).where(eq(schoolClass.id, id)).run();
}

/** Deletes a class with its pupils, sessions and all their responses. */
export function deleteClass(db: Db, id: string): void {
  db.delete(schoolClass).where(eq(schoolClass.id, id)).run();
}

/** The pupils of a class as its teacher knows them; those who left stand last. */
export function classPupils(db: Db, classId: string) {
  return db
    .select({
      id: pupil.id,
      name: pupil.name,
      reference: pupil.reference,
      leftAtMs: pupil.leftAtMs,
      cardAtMs: card.madeAtMs,
      responseCount: sql<number>`(SELECT count(*) FROM ${response} WHERE ${response.pupilId} = ${pupil.id})`,
    })
    .from(pupil)
    .leftJoin(card, eq(card.pupilId, pupil.id))
    .where(eq(pupil.classId, classId))
    .orderBy(sql`${pupil.leftAtMs} IS NOT NULL`, asc(pupil.place))
    .all();
}

/** A pupil of a class of a teacher's own, with the class. @throws CoreError NOT_FOUND, PUPIL_UNKNOWN */
export function mustOwnPupil(db: Db, teacherId: string, { id, pupilId }: { readonly id: string; readonly pupilId: string }) {
  const schoolClass = mustOwnClass(db, teacherId, id);
  const pupil = findPupil(db, pupilId);
  if (pupil?.classId !== schoolClass.id) throw new CoreError('PUPIL_UNKNOWN', 'This class has no such pupil.');
  return { pupil, schoolClass };
}

/** A pupil by id, with the class. */
export function findPupil(db: Db, id: string) {
  return db.select().from(pupil).where(eq(pupil.id, id)).get();
}

/** A name must be free in a class. @param exceptId the pupil who is to have it @throws CoreError NAME_TAKEN */
export function mustBeFree(db: Db, classId: string, name: string, exceptId: string): void {
  const has = db
    .select({ id: pupil.id })
    .from(pupil)
    .where(and(eq(pupil.classId, classId), eq(pupil.name, name), ne(pupil.id, exceptId)))
    .get();
  if (has) throw nameTaken(name);
}

export const nameTaken = (name: string) =>
  new CoreError('NAME_TAKEN', `${name} is in this class already. Two pupils of one name could not tell their names apart.`, { name });

/** Adds pupils at the end of a class. */
export function insertPupils(
  db: Db,
  classId: string,
  pupils: readonly { readonly id: string; readonly name: string; readonly reference: string | null }[],
): void {
  const last = lastPlace(db, classId);
  const insert = db
    .insert(pupil)
    .values({
      id: sql.placeholder('id'),
      classId: sql.placeholder('classId'),
      name: sql.placeholder('name'),
      reference: sql.placeholder('reference'),
      place: sql.placeholder('place'),
    })
    .prepare();
  pupils.forEach((row, index) => insert.run({ ...row, classId, place: last + 1 + index }));
}

export function changePupil(db: Db, id: string, change: Partial<typeof pupil.$inferInsert>): void {
  if (Object.keys(change).length > 0) db.update(pupil).set(change).where(eq(pupil.id, id)).run();
}

/** Moves a pupil to the end of another class. */
export function movePupil(db: Db, id: string, classId: string): void {
  db.update(pupil)
    .set({ classId, place: lastPlace(db, classId) + 1 })
    .where(eq(pupil.id, id))
    .run();
}

/** Deletes a pupil with all that the pupil ever gave. */
export function deletePupil(db: Db, id: string): void {
  db.delete(pupil).where(eq(pupil.id, id)).run();
}

/** Gives a pupil a card with a new token; one made before opens nothing any more. */
export function putCard(db: Db, row: typeof card.$inferInsert): void {
  const { tokenHash, madeAtMs } = row;
  db.insert(card).values(row).onConflictDoUpdate({ target: card.pupilId, set: { tokenHash, madeAtMs } }).run();
}

export function removeCards(db: Db, pupilIds: readonly string[]): number {
  return db
    .delete(card)
    .where(inArray(card.pupilId, [...pupilIds]))
    .run().changes;
}

/** The pupil whose card has a token, with the class; not one who left. */
export function pupilOfCard(db: Db, hashOfToken: string) {
  return db
    .select({ id: pupil.id, name: pupil.name, classId: pupil.classId, className: schoolClass.name })
    .from(card)
    .innerJoin(pupil, eq(pupil.id, card.pupilId))
    .innerJoin(schoolClass, eq(schoolClass.id, pupil.classId))
    .where(and(eq(card.tokenHash, hashOfToken), isNull(pupil.leftAtMs)))
    .get();
}

/** Writes down what was done with the data of a class, for the class and for the school: by its teacher, or by itself once it is due. */
export function record(db: Db, row: { classId: string; act: DataAct; count: number; atMs: number }): void {
  db.insert(dataRecord).values(row).run();
  const { classId, act, count: many, atMs } = row;
  const of = db.select().from(schoolClass).where(eq(schoolClass.id, classId)).get();
  noteAct(db, { act, atMs, teacherId: act === 'retention' ? null : (of?.teacherId ?? null), about: of?.name, count: many });
}

/** What was done with the data of a class, the newest first. */
export function recordsOf(db: Db, classId: string) {
  return db
    .select({ atMs: dataRecord.atMs, act: dataRecord.act, count: dataRecord.count })
    .from(dataRecord)
    .where(eq(dataRecord.classId, classId))
    .orderBy(desc(dataRecord.id))
    .limit(RECORDS_TOLD)
    .all();
}

function lastPlace(db: Db, classId: string): number {
  const last = db
    .select({ place: max(pupil.place) })
    .from(pupil)
    .where(eq(pupil.classId, classId))
    .get();
  return last?.place ?? -1;
}
