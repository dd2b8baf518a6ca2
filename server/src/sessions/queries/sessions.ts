import { and, countDistinct, desc, eq, isNull, lt, max, sql } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { schoolClass } from '../../tables/classes.js';
import { lessonVersion } from '../../tables/lessons.js';
import { liveSession, participant, response, sessionEvent } from '../../tables/sessions.js';

/** Reads and writes of sessions themselves. */
export function sessionRowQueries(db: Db) {
  const sessionHead = db
    .select({
      teacherId: liveSession.teacherId,
      classId: liveSession.classId,
      pace: liveSession.pace,
      endedAtMs: liveSession.endedAtMs,
    })
    .from(liveSession)
    .where(eq(liveSession.id, sql.placeholder('id')))
    .prepare();
  const saveRoom = db
    .update(liveSession)
    .set({ room: sql`${sql.placeholder('room')}`, phase: sql`${sql.placeholder('phase')}` })
    .where(eq(liveSession.id, sql.placeholder('id')))
    .prepare();

  return {
    /** A session with the name of its class and the lesson it was taught from. */
    session: (id: string) =>
      db
        .select({ session: liveSession, className: schoolClass.name, simulated: schoolClass.simulated, file: lessonVersion.file })
        .from(liveSession)
        .innerJoin(schoolClass, eq(schoolClass.id, liveSession.classId))
        .innerJoin(
          lessonVersion,
          and(eq(lessonVersion.lessonId, liveSession.lessonId), eq(lessonVersion.version, liveSession.lessonVersion)),
        )
        .where(eq(liveSession.id, id))
        .get(),

    /** Whose a session is, and whether it goes on. */
    sessionHead: (id: string) => sessionHead.get({ id }),

    sessionIdByKey: (roomKey: string) =>
      db.select({ id: liveSession.id }).from(liveSession).where(eq(liveSession.roomKey, roomKey)).get()?.id,

    insertSession: (row: typeof liveSession.$inferInsert) => db.insert(liveSession).values(row).run(),

    saveRoom: (id: string, phase: typeof liveSession.$inferSelect.phase, room: string) => saveRoom.run({ id, phase, room }),

    end: (id: string, endedAtMs: number) => db.update(liveSession).set({ endedAtMs, roomKey: null }).where(eq(liveSession.id, id)).run(),
  };
}

/** Which sessions there are: of a teacher, of a class, and those that nobody ended. */
export const sessionListQueries = (db: Db) => ({
  /** The live sessions of a class that have not ended, the newest first. */
  openSessionsOf: (classId: string) =>
    db
      .select({ id: liveSession.id, title: liveSession.title })
      .from(liveSession)
      .where(and(eq(liveSession.classId, classId), eq(liveSession.pace, 'live'), isNull(liveSession.endedAtMs)))
      .orderBy(desc(liveSession.createdAtMs))
      .all(),

  /** A teacher's sessions, the newest first, from columns alone. */
  sessionsOf: (teacherId: string) =>
    db
      .select({
        id: liveSession.id,
        lessonId: liveSession.lessonId,
        classId: liveSession.classId,
        title: liveSession.title,
        phase: liveSession.phase,
        pace: liveSession.pace,
        simulated: schoolClass.simulated,
        createdAtMs: liveSession.createdAtMs,
        endedAtMs: liveSession.endedAtMs,
        className: schoolClass.name,
        participantCount: countDistinct(participant.pupilId),
      })
      .from(liveSession)
      .innerJoin(schoolClass, eq(schoolClass.id, liveSession.classId))
      .leftJoin(participant, eq(participant.sessionId, liveSession.id))
      .where(eq(liveSession.teacherId, teacherId))
      .groupBy(liveSession.id)
      .orderBy(desc(liveSession.createdAtMs))
      .all(),

  /** Live sessions that were opened before a moment and have not ended. */
  openSince: (beforeMs: number) =>
    db
      .select({ id: liveSession.id })
      .from(liveSession)
      .where(and(isNull(liveSession.endedAtMs), eq(liveSession.pace, 'live'), lt(liveSession.createdAtMs, beforeMs)))
      .all(),

  /** When something was last heard of a session: a command, somebody who came in, a response; 0 where nothing was. */
  heardAtMs: (sessionId: string): number => {
    const [event] = db
      .select({ atMs: max(sessionEvent.atMs) })
      .from(sessionEvent)
      .where(eq(sessionEvent.sessionId, sessionId))
      .all();
    const [came] = db
      .select({ atMs: max(participant.joinedAtMs) })
      .from(participant)
      .where(eq(participant.sessionId, sessionId))
      .all();
    const [given] = db
      .select({ atMs: max(response.receivedAtMs) })
      .from(response)
      .where(eq(response.sessionId, sessionId))
      .all();
    return Math.max(event?.atMs ?? 0, came?.atMs ?? 0, given?.atMs ?? 0);
  },
});
