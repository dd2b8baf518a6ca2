import { and, desc, eq, sql } from 'drizzle-orm';
import { answerTimes, type AnswerTimes, type QuestionKindId } from '@zeitpunkt/core';
import type { Db } from '../../db/connection.js';
import { liveSession, response } from './tables.js';

/** So many of a class's latest answers are looked at: how long it took last year tells little. */
const LATEST = 3000;

/** How long a class takes for each kind of question, from what its pupils gave on their own devices lately. */
export function answerTimesOf(db: Db, classId: string): Partial<Record<QuestionKindId, AnswerTimes>> {
  const rows = db
    .select({ kind: sql<QuestionKindId>`json_extract(${response.given}, '$.kind')`, responseTimeMs: response.responseTimeMs })
    .from(response)
    .innerJoin(liveSession, eq(liveSession.id, response.sessionId))
    .where(and(eq(liveSession.classId, classId), eq(response.source, 'device'), eq(response.attempt, 1)))
    .orderBy(desc(response.receivedAtMs))
    .limit(LATEST)
    .all();
  return answerTimes(rows);
}
