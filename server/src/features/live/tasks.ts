import type { SessionDetail } from '@zeitpunkt/contract';
import type { Db } from '../../db/connection.js';
import { pupilsOf } from '../classes/queries.js';
import { liveQueries } from './queries.js';
import { detailOfRecord, readAttempts, readRecord, type SessionRecord } from './session-record.js';

/** Sessions read whole, with all that was answered. */
export function liveTasks(db: Db) {
  const queries = liveQueries(db);
  return {
    /** A session that is there, as the database has it. @throws CoreError where it cannot be read */
    session(sessionId: string, nowMs: number): SessionDetail {
      const record = readRecord(queries, sessionId)!;
      return detailOfRecord(record, pupilsOf(db, record.classId), nowMs);
    },
    attempts: (sessionId: string): Pick<SessionRecord, 'responses' | 'unreadable'> => readAttempts(queries, sessionId),
  };
}
