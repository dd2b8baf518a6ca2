import { and, asc, eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Lesson } from '@zeitpunkt/core';
import type { Db } from '../../db/connection.js';
import { lesson, lessonVersion } from './tables.js';

const newest = and(eq(lessonVersion.lessonId, lesson.id), eq(lessonVersion.version, lesson.version));

/** A teacher's lessons in their newest version. */
export function lessonsOf(db: Db, teacherId: string) {
  return db
    .select({ id: lesson.id, version: lesson.version, file: lessonVersion.file })
    .from(lesson)
    .innerJoin(lessonVersion, newest)
    .where(eq(lesson.teacherId, teacherId))
    .orderBy(asc(lesson.place))
    .all();
}

/** A lesson in its newest version if it belongs to the teacher. */
export function ownLesson(db: Db, teacherId: string, lessonId: string) {
  return db
    .select({ id: lesson.id, version: lesson.version, file: lessonVersion.file })
    .from(lesson)
    .innerJoin(lessonVersion, newest)
    .where(and(eq(lesson.id, lessonId), eq(lesson.teacherId, teacherId)))
    .get();
}

/** Adds the next version of a lesson and makes it the newest. */
export function insertVersion(db: Db, row: { lessonId: string; version: number; file: Lesson; createdAtMs: number }): void {
  const { lessonId, version, file, createdAtMs } = row;
  db.insert(lessonVersion)
    .values({ lessonId, version, file: JSON.stringify(file), createdAtMs })
    .run();
  db.update(lesson).set({ version }).where(eq(lesson.id, lessonId)).run();
}

/** Adds a lesson as its version 1 at a place of the teacher's list; returns its id. */
export function insertLesson(db: Db, row: { teacherId: string; file: Lesson; place: number; createdAtMs: number }): string {
  const id = randomUUID();
  db.insert(lesson).values({ id, teacherId: row.teacherId, version: 1, place: row.place }).run();
  db.insert(lessonVersion)
    .values({ lessonId: id, version: 1, file: JSON.stringify(row.file), createdAtMs: row.createdAtMs })
    .run();
  return id;
}
