import { and, asc, desc, eq, isNull } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { acceptedWording, correction } from '../../tables/review.js';
import { liveSession, response } from '../../tables/sessions.js';

/** What a teacher put right of the answers of a session, as far as it counts. */
export function putRightQueries(db: Db) {
  return {
    /** The corrections that count, by the response that each is of. */
    corrections: (sessionId: string) =>
      new Map(
        db
          .select({ correction })
          .from(correction)
          .innerJoin(response, eq(response.id, correction.responseId))
          .where(and(eq(response.sessionId, sessionId), isNull(correction.undoneAtMs)))
          .orderBy(asc(correction.atMs))
          .all()
          .map((row) => [row.correction.responseId, row.correction]),
      ),

    /** The correction of a response that counts. */
    correctionOf: (responseId: string) =>
      db
        .select()
        .from(correction)
        .where(and(eq(correction.responseId, responseId), isNull(correction.undoneAtMs)))
        .orderBy(desc(correction.atMs))
        .get(),

    /** The wordings that count in the class of a session. */
    wordings: (sessionId: string) =>
      db
        .select({ wording: acceptedWording.wording, timeSec: acceptedWording.timeSec })
        .from(acceptedWording)
        .innerJoin(liveSession, eq(liveSession.classId, acceptedWording.classId))
        .where(and(eq(liveSession.id, sessionId), isNull(acceptedWording.undoneAtMs)))
        .all(),
  };
}
