import { and, desc, eq } from 'drizzle-orm';
import { CoreError } from '@zeitpunkt/core/errors';
import { answerTimes, type ClassTimes } from '@zeitpunkt/core/run/answer-times';
import { rungOfItem } from '@zeitpunkt/core/insight/rung-of-item';
import type { Db } from '../db/connection.js';
import { sessionQueries } from './queries.js';
import { readSession } from './session-record.js';
import { liveSession, response } from '../tables/sessions.js';

/** So many of a class's latest answers are looked at: how long it took last year tells little. */
const LATEST = 3000;

/** How long a class takes for each kind of question on each rung, from what its pupils gave on their own devices lately. */
export function answerTimesOf(db: Db, classId: string): ClassTimes {
  const rows = db
    .select({ sessionId: response.sessionId, askingId: response.askingId, responseTimeMs: response.responseTimeMs })
    .from(response)
    .innerJoin(liveSession, eq(liveSession.id, response.sessionId))
    .where(and(eq(liveSession.classId, classId), eq(response.source, 'device'), eq(response.attempt, 1)))
    .orderBy(desc(response.receivedAtMs))
    .limit(LATEST)
    .all();
  const queries = sessionQueries(db);
  const asked = new Map<string, ReturnType<typeof askedIn>>();
  const found = rows.flatMap(({ sessionId, askingId, responseTimeMs }) => {
    let items = asked.get(sessionId);
    if (!items) asked.set(sessionId, (items = askedIn(queries, sessionId)));
    const item = items.get(askingId);
    return item ? [{ ...item, responseTimeMs }] : [];
  });
  return answerTimes(found);
}

/** Kind and rung of each question that was asked in a session; none where it cannot be read. */
function askedIn(queries: ReturnType<typeof sessionQueries>, sessionId: string) {
  try {
    const read = readSession(queries, sessionId);
    return new Map(
      (read?.room.run.askings ?? []).map(({ id, item }) => [id, { kind: item.kind, rung: rungOfItem(item, read!.lesson.lesson) }]),
    );
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return new Map<string, never>();
  }
}
