import { and, count, eq, inArray, isNotNull, lt, notExists, sql } from 'drizzle-orm';
import type { RetentionCheck } from '@zeitpunkt/contract';
import { reallyDelete, type Db, type Store } from '../../db/connection.js';
import { liveSession, response } from '../../tables/sessions.js';
import { allClasses, record } from './queries.js';
import { pupil } from '../../tables/classes.js';

const DAY_MS = 86_400_000;

/** Lessons of a class that ended so long ago that they are deleted, were answers kept for so many days. */
function dueSessions(db: Db, classId: string, keepDays: number, nowMs: number): string[] {
  return db
    .select({ id: liveSession.id })
    .from(liveSession)
    .where(and(eq(liveSession.classId, classId), lt(liveSession.endedAtMs, nowMs - keepDays * DAY_MS)))
    .all()
    .map(({ id }) => id);
}

/** What would be deleted of a class, were answers kept for so many days. */
export function checkRetention(db: Db, classId: string, keepDays: number, nowMs: number): RetentionCheck {
  const ids = dueSessions(db, classId, keepDays, nowMs);
  const answers = db.select({ responses: count() }).from(response).where(inArray(response.sessionId, ids)).get();
  return { sessions: ids.length, responses: answers?.responses ?? 0 };
}

/**
 * Deletes for good what is kept no longer: lessons with their answers that ended longer ago than their class keeps them, and
 * pupils who left that long ago and have no answers any more.
 * @returns how many lessons were deleted
 */
export function deleteWhatIsOld(store: Store, nowMs: number): number {
  const { db } = store;
  let deleted = 0;
  for (const { id: classId, keepDays } of allClasses(db)) {
    if (keepDays === null) continue;
    const ids = dueSessions(db, classId, keepDays, nowMs);
    const left = leftLongAgo(db, classId, nowMs - keepDays * DAY_MS, ids);
    if (ids.length === 0 && left.length === 0) continue;
    reallyDelete(store, () => {
      db.delete(liveSession).where(inArray(liveSession.id, ids)).run();
      db.delete(pupil).where(inArray(pupil.id, left)).run();
      record(db, { classId, act: 'retention', count: ids.length, atMs: nowMs });
    });
    deleted += ids.length;
  }
  return deleted;
}

function leftLongAgo(db: Db, classId: string, beforeMs: number, goingSessions: readonly string[]): string[] {
  const staying = db
    .select({ one: sql`1` })
    .from(response)
    .where(and(eq(response.pupilId, pupil.id), sql`${response.sessionId} NOT IN ${goingSessions.length ? goingSessions : ['']}`));
  return db
    .select({ id: pupil.id })
    .from(pupil)
    .where(and(eq(pupil.classId, classId), isNotNull(pupil.leftAtMs), lt(pupil.leftAtMs, beforeMs), notExists(staying)))
    .all()
    .map(({ id }) => id);
}
