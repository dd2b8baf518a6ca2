import { and, asc, count, eq } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { liveSession, response } from '../../tables/sessions.js';
import { placeholders } from './placeholders.js';

/** In the order in which a response is inserted: that of the table. */
const RESPONSE_COLUMNS = [
  'id',
  'sessionId',
  'pupilId',
  'askingId',
  'attempt',
  'given',
  'mark',
  'responseTimeMs',
  'receivedAtMs',
  'late',
  'waitedMs',
  'closedAtMs',
  'source',
  'counted',
] as const;

/** Reads and writes of responses. */
export function responseQueries(db: Db) {
  // Built by Drizzle, run without it: a whole class answers at once, and its mapping took a tenth of the server's time.
  const insertResponse = db.$client.prepare(
    db
      .insert(response)
      .values(placeholders([...RESPONSE_COLUMNS]))
      .toSQL().sql,
  );
  const responsesStamp = db.$client
    .prepare('SELECT count(*), total(counted * rowid), max(received_at_ms) FROM response WHERE session_id = ?')
    .raw();
  const correctionsStamp = db.$client
    .prepare(
      'SELECT count(*), total((undone_at_ms IS NULL) * rowid), max(at_ms) FROM correction WHERE response_id IN (SELECT id FROM response WHERE session_id = ?)',
    )
    .raw();

  return {
    /** Every attempt, oldest first. */
    responses: (sessionId: string) =>
      db.select().from(response).where(eq(response.sessionId, sessionId)).orderBy(asc(response.receivedAtMs), asc(response.attempt)).all(),

    /** Every attempt of a pupil at an asking. */
    attempts: (sessionId: string, pupilId: string, askingId: string) =>
      db
        .select()
        .from(response)
        .where(and(eq(response.sessionId, sessionId), eq(response.pupilId, pupilId), eq(response.askingId, askingId)))
        .all(),

    responseCounts: (teacherId: string) =>
      db
        .select({ sessionId: response.sessionId, responses: count() })
        .from(response)
        .innerJoin(liveSession, eq(liveSession.id, response.sessionId))
        .where(eq(liveSession.teacherId, teacherId))
        .groupBy(response.sessionId)
        .all(),

    response: (id: string) => db.select().from(response).where(eq(response.id, id)).get(),

    setCounted: (id: string, counted: boolean) => db.update(response).set({ counted }).where(eq(response.id, id)).run(),

    deleteResponse: (id: string) => db.delete(response).where(eq(response.id, id)).run(),

    insertResponse: (row: Required<typeof response.$inferInsert>) =>
      insertResponse.run(
        row.id,
        row.sessionId,
        row.pupilId,
        row.askingId,
        row.attempt,
        row.given,
        row.mark,
        row.responseTimeMs,
        row.receivedAtMs,
        Number(row.late),
        row.waitedMs,
        row.closedAtMs,
        row.source,
        Number(row.counted),
      ),

    /** Another text whenever an answer of a session came or went, counts or not, or was corrected; whose it is, it does not tell. */
    answersStamp: (sessionId: string): string => JSON.stringify([responsesStamp.get(sessionId), correctionsStamp.get(sessionId)]),
  };
}
