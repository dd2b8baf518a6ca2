import { writeRoomState } from '@zeitpunkt/core/formats/stored';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { newRoom } from '@zeitpunkt/core/live/room';
import type { Db } from '../../db/connection.js';
import { insertLesson, insertVersion, nextPlace, setArchived } from './queries.js';
import { sessionQueries } from '../../sessions/queries.js';
import type { liveSession } from '../../tables/sessions.js';

/** A lesson whose answers did not come through a room of this server: from paper, or from a file. */
export interface Taught {
  readonly sessionId: string;
  readonly teacherId: string;
  readonly classId: string;
  readonly file: Lesson;
  /** What was asked, in its order. */
  readonly askings: readonly { readonly id: string; readonly item: Item }[];
  readonly pace: (typeof liveSession.$inferInsert)['pace'];
  readonly title: string;
  readonly openedAtMs: number;
  readonly endedAtMs: number;
}

/**
 * Adds such a lesson, put away, and a session of it that is over, so that its answers are marked and reviewed as any others.
 * Runs inside a transaction of whoever calls.
 */
export function insertTaught(db: Db, taught: Taught, nowMs: number): void {
  const { sessionId, teacherId, classId, file, pace, title, openedAtMs, endedAtMs } = taught;
  const place = nextPlace(db, teacherId);
  const lessonId = insertLesson(db, { teacherId, file, place });
  setArchived(db, lessonId, nowMs);
  insertVersion(db, { lessonId, version: 1, file: JSON.stringify(file), createdAtMs: nowMs });
  const room = newRoom(prepareLesson(file));
  const askings = taught.askings.map((asking) => ({ ...asking, phase: 'revealed' as const, closedAtMs: endedAtMs }));
  const ended = { ...room, phase: 'ended' as const, endedBy: 'teacher' as const, run: { ...room.run, askings } };
  sessionQueries(db).insertSession({
    id: sessionId,
    teacherId,
    classId,
    lessonId,
    lessonVersion: 1,
    pace,
    roomKey: null,
    title,
    phase: 'ended',
    room: writeRoomState(ended),
    createdAtMs: openedAtMs,
    endedAtMs,
  });
}
