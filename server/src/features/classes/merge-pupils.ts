import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { participant, response } from '../live/tables.js';
import { comment } from '../review/tables.js';
import { deletePupil } from './queries.js';

/**
 * Makes two pupils one: whatever the one gave becomes the other's, and remarks on the one are on the other. Attempts of both at the same question are counted anew in
 * the order in which they came. Places in rooms move too; where both were in the same room, the place of the one who goes is
 * given free. Runs inside a transaction of whoever calls.
 */
export function mergePupils(db: Db, goes: string, stays: string, nowMs: number): void {
  for (const { id, sessionId } of db.select().from(participant).where(eq(participant.pupilId, goes)).all()) {
    const both = db
      .select({ id: participant.id })
      .from(participant)
      .where(and(eq(participant.sessionId, sessionId), eq(participant.pupilId, stays), isNull(participant.releasedAtMs)))
      .get();
    db.update(participant)
      .set({ pupilId: stays, ...(both && { releasedAtMs: nowMs }) })
      .where(eq(participant.id, id))
      .run();
  }
  db.update(response).set({ pupilId: stays }).where(eq(response.pupilId, goes)).run();
  db.update(comment).set({ pupilId: stays }).where(eq(comment.pupilId, goes)).run();
  countAnew(db, stays);
  deletePupil(db, goes);
}

/** Numbers a pupil's attempts at each asking from 1, in the order in which they came. */
function countAnew(db: Db, pupilId: string): void {
  const attempts = db
    .select({ id: response.id, sessionId: response.sessionId, askingId: response.askingId, attempt: response.attempt })
    .from(response)
    .where(eq(response.pupilId, pupilId))
    .orderBy(asc(response.receivedAtMs), asc(response.attempt))
    .all();
  const counted = new Map<string, number>();
  for (const { id, sessionId, askingId, attempt } of attempts) {
    const number = (counted.get(`${sessionId} ${askingId}`) ?? 0) + 1;
    counted.set(`${sessionId} ${askingId}`, number);
    if (number !== attempt) db.update(response).set({ attempt: number }).where(eq(response.id, id)).run();
  }
}
