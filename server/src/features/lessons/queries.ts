import { CoreError } from '@zeitpunkt/core/errors';
import { and, asc, desc, eq, max } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { writeLesson } from '@zeitpunkt/core/formats/stored';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { Db } from '../../db/connection.js';
import { lesson, lessonVersion } from '../../tables/lessons.js';

/** What stands in the list of a teacher's lessons, without the lessons themselves. */
export function lessonHeads(db: Db, teacherId: string) {
  return db
    .select({ id: lesson.id, revision: lesson.revision, title: lesson.title, archivedAtMs: lesson.archivedAtMs })
    .from(lesson)
    .where(eq(lesson.teacherId, teacherId))
    .orderBy(asc(lesson.place))
    .all();
}

/** The draft of a lesson. */
export function lessonDraft(db: Db, lessonId: string) {
  return db.select({ draft: lesson.draft, title: lesson.title }).from(lesson).where(eq(lesson.id, lessonId)).get();
}

/** The lesson that a teacher began last. */
export function newestDraft(db: Db, teacherId: string) {
  return db
    .select({ draft: lesson.draft, title: lesson.title })
    .from(lesson)
    .where(eq(lesson.teacherId, teacherId))
    .orderBy(desc(lesson.place))
    .limit(1)
    .get();
}

/** Where the next lesson of a teacher stands in the list. */
export function nextPlace(db: Db, teacherId: string): number {
  const last = db
    .select({ place: max(lesson.place) })
    .from(lesson)
    .where(eq(lesson.teacherId, teacherId))
    .get();
  return (last?.place ?? -1) + 1;
}

/** A lesson as it is edited, if it belongs to the teacher. */
export function ownLesson(db: Db, teacherId: string, lessonId: string) {
  return db
    .select()
    .from(lesson)
    .where(and(eq(lesson.id, lessonId), eq(lesson.teacherId, teacherId)))
    .get();
}

/** A lesson of a teacher's own. @throws CoreError NOT_FOUND */
export function mustOwnLesson(db: Db, teacherId: string, lessonId: string) {
  const row = ownLesson(db, teacherId, lessonId);
  if (!row) throw new CoreError('NOT_FOUND', 'There is no such lesson among yours.');
  return row;
}

/** A lesson, whoever it belongs to. */
export function lessonById(db: Db, lessonId: string) {
  return db.select({ teacherId: lesson.teacherId }).from(lesson).where(eq(lesson.id, lessonId)).get();
}

/** The pinned version of a lesson, as its file. */
export function versionFile(db: Db, lessonId: string, version: number) {
  return db
    .select({ file: lessonVersion.file })
    .from(lessonVersion)
    .where(and(eq(lessonVersion.lessonId, lessonId), eq(lessonVersion.version, version)))
    .get()?.file;
}

/** Pins the next version of a lesson. */
export function insertVersion(db: Db, row: typeof lessonVersion.$inferInsert): void {
  db.insert(lessonVersion).values(row).run();
  db.update(lesson).set({ version: row.version }).where(eq(lesson.id, row.lessonId)).run();
}

/** The draft of a lesson in its next revision. */
export function saveDraft(db: Db, lessonId: string, revision: number, draft: Lesson): void {
  db.update(lesson)
    .set({ revision, draft: writeLesson(draft), title: draft.title })
    .where(eq(lesson.id, lessonId))
    .run();
}

/** Puts a lesson away, or with null back among those ready to teach. */
export function setArchived(db: Db, lessonId: string, archivedAtMs: number | null): void {
  db.update(lesson).set({ archivedAtMs }).where(eq(lesson.id, lessonId)).run();
}

/** Adds a lesson at a place of the teacher's list; returns its id. */
export function insertLesson(db: Db, { file, ...row }: { id?: string; teacherId: string; file: Lesson; place: number }): string {
  return insertWritten(db, { ...row, ...writtenOut(file) });
}

/** A lesson as it is stored: what is large is written out where it is made. */
export interface WrittenLesson {
  readonly title: string;
  readonly draft: string;
}

export const writtenOut = (file: Lesson): WrittenLesson => ({ title: file.title, draft: writeLesson(file) });

/** Adds a lesson that is written out already. @returns its id */
export function insertWritten(db: Db, row: WrittenLesson & { id?: string; teacherId: string; place: number }): string {
  const { id = randomUUID(), teacherId, title, draft, place } = row;
  db.insert(lesson).values({ id, teacherId, title, draft, revision: 1, version: 0, place, archivedAtMs: null }).run();
  return id;
}
