import { and, asc, count, countDistinct, desc, eq, isNull, sql } from 'drizzle-orm';
import type { RoomState } from '@zeitpunkt/core';
import type { Db } from '../../db/connection.js';
import { schoolClass } from '../classes/tables.js';
import { lessonVersion } from '../lessons/tables.js';
import { liveSession, participant, response, sessionEvent } from './tables.js';

/** Reads and writes of live sessions. The ones that every response needs are prepared once. */
export function liveQueries(db: Db) {
  const sessionRow = db
    .select({ session: liveSession, className: schoolClass.name, file: lessonVersion.file })
    .from(liveSession)
    .innerJoin(schoolClass, eq(schoolClass.id, liveSession.classId))
    .innerJoin(lessonVersion, and(eq(lessonVersion.lessonId, liveSession.lessonId), eq(lessonVersion.version, liveSession.lessonVersion)));
  const insertResponse = db
    .insert(response)
    .values(placeholders(['id', 'sessionId', 'pupilId', 'itemId', 'attempt', 'given', 'mark', 'responseTimeMs', 'receivedAtMs']))
    .prepare();

  return {
    session: (id: string) => sessionRow.where(eq(liveSession.id, id)).get(),

    sessionIdByKey: (roomKey: string) =>
      db.select({ id: liveSession.id }).from(liveSession).where(eq(liveSession.roomKey, roomKey)).get()?.id,

    sessionsOf: (teacherId: string) =>
      db
        .select({
          session: liveSession,
          className: schoolClass.name,
          file: lessonVersion.file,
          participantCount: countDistinct(participant.pupilId),
        })
        .from(liveSession)
        .innerJoin(schoolClass, eq(schoolClass.id, liveSession.classId))
        .innerJoin(
          lessonVersion,
          and(eq(lessonVersion.lessonId, liveSession.lessonId), eq(lessonVersion.version, liveSession.lessonVersion)),
        )
        .leftJoin(participant, eq(participant.sessionId, liveSession.id))
        .where(eq(liveSession.teacherId, teacherId))
        .groupBy(liveSession.id)
        .orderBy(desc(liveSession.createdAtMs))
        .all(),

    responseCounts: (teacherId: string) =>
      db
        .select({ sessionId: response.sessionId, responses: count() })
        .from(response)
        .innerJoin(liveSession, eq(liveSession.id, response.sessionId))
        .where(eq(liveSession.teacherId, teacherId))
        .groupBy(response.sessionId)
        .all(),

    insertSession: (row: typeof liveSession.$inferInsert) => db.insert(liveSession).values(row).run(),

    saveRoom: (id: string, room: RoomState, endedAtMs: number | null) =>
      db
        .update(liveSession)
        .set({ room: JSON.stringify(room), endedAtMs, ...(endedAtMs === null ? {} : { roomKey: null }) })
        .where(eq(liveSession.id, id))
        .run(),

    commandKnown: (sessionId: string, commandId: string) =>
      db
        .select({ seq: sessionEvent.seq })
        .from(sessionEvent)
        .where(and(eq(sessionEvent.sessionId, sessionId), eq(sessionEvent.commandId, commandId)))
        .get() !== undefined,

    eventCount: (sessionId: string) =>
      db.select({ events: count() }).from(sessionEvent).where(eq(sessionEvent.sessionId, sessionId)).get()!.events,

    insertEvent: (row: typeof sessionEvent.$inferInsert) => db.insert(sessionEvent).values(row).run(),

    participants: (sessionId: string) =>
      db
        .select()
        .from(participant)
        .where(and(eq(participant.sessionId, sessionId), isNull(participant.releasedAtMs)))
        .orderBy(asc(participant.joinedAtMs))
        .all(),

    participantByToken: (hashOfToken: string) =>
      db
        .select({ id: participant.id, sessionId: participant.sessionId })
        .from(participant)
        .where(and(eq(participant.tokenHash, hashOfToken), isNull(participant.releasedAtMs)))
        .get(),

    insertParticipant: (row: typeof participant.$inferInsert) => db.insert(participant).values(row).run(),
    setToken: (id: string, tokenHash: string) => db.update(participant).set({ tokenHash }).where(eq(participant.id, id)).run(),
    release: (id: string, releasedAtMs: number) => db.update(participant).set({ releasedAtMs }).where(eq(participant.id, id)).run(),

    responses: (sessionId: string) =>
      db.select().from(response).where(eq(response.sessionId, sessionId)).orderBy(asc(response.receivedAtMs), asc(response.attempt)).all(),

    insertResponse: (row: typeof response.$inferInsert) => insertResponse.run(row),
  };
}

export type LiveQueries = ReturnType<typeof liveQueries>;

function placeholders(names: readonly (keyof typeof response.$inferInsert)[]): typeof response.$inferInsert {
  return Object.fromEntries(names.map((name) => [name, sql.placeholder(name)])) as never;
}
