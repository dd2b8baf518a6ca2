import type { MarkedResponse, SessionDetail, TeacherMessage } from '@zeitpunkt/contract';
import type { Db } from '../../db/connection.js';
import { pupilsOf } from '../../sessions/queries/pupils.js';
import { sessionQueries } from '../../sessions/queries.js';
import { detailOfRecord, readAttempts, readRecord } from '../../sessions/session-record.js';

/** Sessions read whole, with all that was answered. */
export function liveTasks(db: Db) {
  const queries = sessionQueries(db);
  /** A session that is there, as the database has it. @throws CoreError where it cannot be read */
  const session = (sessionId: string, nowMs: number): SessionDetail => {
    const record = readRecord(queries, sessionId)!;
    return detailOfRecord(record, pupilsOf(db, record.classId), nowMs);
  };
  return {
    session,
    /** What is told on a line to a session that has ended. */
    lastWord: (sessionId: string, nowMs: number): TeacherMessage => ({ type: 'state', live: session(sessionId, nowMs).live }),
    /** Every attempt of a session. */
    attempts: (sessionId: string): readonly MarkedResponse[] => readAttempts(queries, sessionId).responses,
  };
}
