import { CoreError } from '@zeitpunkt/core/errors';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { ownClass } from '../classes/gives.js';
import { insertVersion, ownLesson, versionFile } from './queries.js';

/** A lesson as it is taught: later changes of the draft do not reach it. */
export interface PinnedLesson {
  readonly version: number;
  readonly file: Lesson;
}

/**
 * Pins a lesson as it is now. A draft that has not changed since it was pinned last keeps its version.
 * @returns undefined where the teacher has no such lesson
 * @throws CoreError where the draft cannot be read or played
 */
export function pinLesson(db: Db, teacherId: string, lessonId: string, nowMs: number): PinnedLesson | undefined {
  const row = ownLesson(db, teacherId, lessonId);
  if (!row) return undefined;
  const file = stored.lesson(row.draft, row.title);
  if (row.version > 0 && versionFile(db, lessonId, row.version) === row.draft) return { version: row.version, file };
  const version = row.version + 1;
  insertVersion(db, { lessonId, version, file: row.draft, createdAtMs: nowMs });
  return { version, file };
}

/** Pins a lesson as it is now for a class of the same teacher. @throws CoreError NOT_FOUND, or where the draft cannot be read */
export function pinForTeaching(
  db: Db,
  teacherId: string,
  { lessonId, classId }: { readonly lessonId: string; readonly classId: string },
  nowMs: number,
): PinnedLesson {
  const pinned = ownClass(db, teacherId, classId) && pinLesson(db, teacherId, lessonId, nowMs);
  if (!pinned) throw new CoreError('NOT_FOUND', 'There is no such lesson or class among yours.');
  return pinned;
}
