import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { pupil, schoolClass } from '../../tables/classes.js';
import { liveSession, participant } from '../../tables/sessions.js';

/** Reads and writes of places in rooms. */
export function participantQueries(db: Db) {
  return {
    /** Pupils who are in a room, in the order they came. */
    participants: (sessionId: string) =>
      db
        .select({
          id: participant.id,
          pupilId: participant.pupilId,
          name: pupil.name,
          joinedAtMs: participant.joinedAtMs,
          waits: sql<boolean>`${participant.admittedAtMs} IS NULL`.mapWith(Boolean),
          newcomer: participant.newcomer,
        })
        .from(participant)
        .innerJoin(pupil, eq(pupil.id, participant.pupilId))
        .where(and(eq(participant.sessionId, sessionId), isNull(participant.releasedAtMs)))
        .orderBy(asc(participant.joinedAtMs))
        .all(),

    /** The place in a room that a device's token belongs to, with what an ended room still shows of it. */
    placeByToken: (hashOfToken: string) =>
      db
        .select({
          id: participant.id,
          sessionId: participant.sessionId,
          pupilId: participant.pupilId,
          classId: liveSession.classId,
          pupilName: pupil.name,
          className: schoolClass.name,
          lessonTitle: liveSession.title,
          phase: liveSession.phase,
        })
        .from(participant)
        .innerJoin(pupil, eq(pupil.id, participant.pupilId))
        .innerJoin(liveSession, eq(liveSession.id, participant.sessionId))
        .innerJoin(schoolClass, eq(schoolClass.id, liveSession.classId))
        .where(and(eq(participant.tokenHash, hashOfToken), isNull(participant.releasedAtMs)))
        .get(),

    /** Whether a token is, or was, that of a place: its device has been in a room of this school. */
    deviceKnown: (hashOfToken: string) =>
      db.select({ id: participant.id }).from(participant).where(eq(participant.tokenHash, hashOfToken)).get() !== undefined,

    insertParticipant: (row: typeof participant.$inferInsert) => db.insert(participant).values(row).run(),

    admit: (id: string, admittedAtMs: number) => db.update(participant).set({ admittedAtMs }).where(eq(participant.id, id)).run(),

    setToken: (id: string, tokenHash: string) => db.update(participant).set({ tokenHash }).where(eq(participant.id, id)).run(),

    release: (id: string, releasedAtMs: number, sentOut: boolean) =>
      db.update(participant).set({ releasedAtMs, sentOut }).where(eq(participant.id, id)).run(),

    /** Pupils who were sent out of a room. */
    sentOut: (sessionId: string) =>
      db
        .selectDistinct({ pupilId: participant.pupilId })
        .from(participant)
        .where(and(eq(participant.sessionId, sessionId), eq(participant.sentOut, true)))
        .all()
        .map(({ pupilId }) => pupilId),
  };
}
