import { writePlan } from '@zeitpunkt/core/formats/stored';
import { and, eq, isNull, ne } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { schoolClass } from '../../tables/classes.js';
import { lesson, lessonVersion } from '../../tables/lessons.js';
import { sheet } from '../../tables/paper.js';
import { classPlan } from '../../tables/plans.js';
import { liveSession } from '../../tables/sessions.js';
import { nextPlace } from '../lessons/gives.js';
import { freeCode } from '../paper/gives.js';
import { copyRecording } from '../voice/gives.js';
import { lessonsOfClass } from './lessons-of-class.js';

/**
 * Gives a class to a colleague with all that belongs to it: pupils and their cards, its plan, what was taught and answered, and
 * the lessons that were planned or taught. A lesson that is used elsewhere, too, stays, and a copy goes along with its recording.
 * Runs inside a transaction of whoever calls.
 */
export function moveClass(db: Db, classId: string, fromId: string, toId: string): void {
  const { own, shared } = lessonsOfClass(db, classId, fromId);
  for (const lessonId of own) moveLesson(db, lessonId, toId);
  const copies = new Map(shared.map((lessonId) => [lessonId, copyLesson(db, lessonId, toId, classId)]));
  db.update(schoolClass).set({ teacherId: toId }).where(eq(schoolClass.id, classId)).run();
  db.update(liveSession).set({ teacherId: toId }).where(eq(liveSession.classId, classId)).run();
  for (const one of db.select().from(sheet).where(eq(sheet.classId, classId)).all()) giveSheet(db, one, toId);
  if (copies.size > 0) renameInPlan(db, classId, copies);
}

/** Gives a lesson to a colleague, at the end of the list, with the sheets that no class stands on. */
export function moveLesson(db: Db, lessonId: string, toId: string): void {
  db.update(lesson)
    .set({ teacherId: toId, place: nextPlace(db, toId) })
    .where(eq(lesson.id, lessonId))
    .run();
  const sheets = db
    .select()
    .from(sheet)
    .where(and(eq(sheet.lessonId, lessonId), isNull(sheet.classId)))
    .all();
  for (const one of sheets) giveSheet(db, one, toId);
}

/** What was printed keeps its code, unless the colleague has a sheet with the same one. */
function giveSheet(db: Db, { id, code }: typeof sheet.$inferSelect, toId: string): void {
  const isTaken = db
    .select({ id: sheet.id })
    .from(sheet)
    .where(and(eq(sheet.teacherId, toId), eq(sheet.code, code), ne(sheet.id, id)))
    .get();
  db.update(sheet)
    .set({ teacherId: toId, code: isTaken ? freeCode(db, toId) : code })
    .where(eq(sheet.id, id))
    .run();
}

/** A lesson once more for a colleague, its versions and recording with it; what the class was taught of it is of the copy. @returns its id */
function copyLesson(db: Db, lessonId: string, toId: string, classId: string): string {
  const id = randomUUID();
  const row = db.select().from(lesson).where(eq(lesson.id, lessonId)).get()!;
  db.insert(lesson)
    .values({ ...row, id, teacherId: toId, place: nextPlace(db, toId) })
    .run();
  for (const one of db.select().from(lessonVersion).where(eq(lessonVersion.lessonId, lessonId)).all())
    db.insert(lessonVersion)
      .values({ ...one, lessonId: id })
      .run();
  copyRecording(db, lessonId, id);
  db.update(liveSession)
    .set({ lessonId: id })
    .where(and(eq(liveSession.lessonId, lessonId), eq(liveSession.classId, classId)))
    .run();
  db.update(sheet)
    .set({ lessonId: id })
    .where(and(eq(sheet.lessonId, lessonId), eq(sheet.classId, classId)))
    .run();
  return id;
}

function renameInPlan(db: Db, classId: string, copies: ReadonlyMap<string, string>): void {
  const row = db.select().from(classPlan).where(eq(classPlan.classId, classId)).get();
  if (!row) return;
  const plan = stored.plan(row.plan, 'this class');
  const named = (id: string) => copies.get(id) ?? id;
  const renamed = {
    ...plan,
    series: plan.series && { ...plan.series, lessonIds: plan.series.lessonIds.map(named) },
    beside: plan.beside.map((one) => ({ ...one, lessonId: named(one.lessonId) })),
  };
  db.update(classPlan)
    .set({ plan: writePlan(renamed), revision: row.revision + 1 })
    .where(eq(classPlan.classId, classId))
    .run();
}
