import { asc, eq } from 'drizzle-orm';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { RoomState } from '@zeitpunkt/core/live/room';
import type { MarkedResponse } from '@zeitpunkt/contract';
import { setImmediate } from 'node:timers/promises';
import type { Db } from '../db/connection.js';
import { stored } from '../db/stored.js';
import { responseOfRow } from './response-rows.js';
import { sessionQueries } from './queries.js';
import { lessonOf } from './session-record.js';
import { liveSession } from '../tables/sessions.js';

/** A taught lesson with every attempt, as far as it can be read. */
export interface SessionAnswers {
  readonly id: string;
  readonly createdAtMs: number;
  readonly pace: 'live' | 'own';
  readonly lesson: Lesson;
  readonly room: RoomState;
  /** Oldest first. */
  readonly responses: readonly MarkedResponse[];
}

/** So many answers are read in one go: other requests are not held up for longer. */
const AT_ONCE = 120;

/**
 * The lessons of a class with their answers, one after the other, the oldest first. Between them, and within a large one, the
 * server goes on with other work.
 * @param only one lesson, where not all are wanted
 * @returns for a lesson that cannot be read, why
 */
export async function* sessionAnswers(
  db: Db,
  classId: string,
  only: string | null = null,
): AsyncGenerator<SessionAnswers | { readonly why: string }> {
  const queries = sessionQueries(db);
  for (const { id } of sessionIds(db, classId).filter((session) => only === null || session.id === only)) {
    await setImmediate();
    const found = queries.session(id);
    if (found) yield await read(queries, found.session, found.file); // else deleted meanwhile
  }
}

/** The lessons of a class, the oldest first, and when each ended; null while it goes on. */
export function sessionIds(db: Db, classId: string): { readonly id: string; readonly endedAtMs: number | null }[] {
  return db
    .select({ id: liveSession.id, endedAtMs: liveSession.endedAtMs })
    .from(liveSession)
    .where(eq(liveSession.classId, classId))
    .orderBy(asc(liveSession.createdAtMs))
    .all();
}

async function read(
  queries: ReturnType<typeof sessionQueries>,
  session: typeof liveSession.$inferSelect,
  file: string,
): Promise<SessionAnswers | { readonly why: string }> {
  const { id, createdAtMs, pace, title } = session;
  try {
    const { lesson } = lessonOf(file, title);
    const room = stored.room(session.room, lesson);
    await setImmediate();
    const corrections = queries.corrections(id);
    const responses: MarkedResponse[] = [];
    for (const [index, row] of queries.responses(id).entries()) {
      if (index % AT_ONCE === AT_ONCE - 1) await setImmediate();
      responses.push(responseOfRow(row, `a pupil to question ${row.askingId} of “${title}”`, corrections.get(row.id)));
    }
    return { id, createdAtMs, pace, lesson, room, responses };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { why: error.message };
  }
}
