import type { DoorMode } from '@zeitpunkt/core/live/door';
import { and, asc, count, countDistinct, desc, eq, isNull, lt, max, sql } from 'drizzle-orm';
import type { Db } from '../db/connection.js';
import { pupil, schoolClass } from '../tables/classes.js';
import { lessonVersion } from '../tables/lessons.js';
import { acceptedWording, correction } from '../tables/review.js';
import { liveSession, participant, response, sessionEvent } from '../tables/sessions.js';

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

/** Reads and writes of live sessions. The ones that every response and every command needs are prepared once. */
export function liveQueries(db: Db) {
  // Built by Drizzle, run without it: a whole class answers at once, and its mapping took a tenth of the server's time.
  const insertResponse = db.$client.prepare(
    db
      .insert(response)
      .values(placeholders([...RESPONSE_COLUMNS]))
      .toSQL().sql,
  );
  const insertEvent = db
    .insert(sessionEvent)
    .values(placeholders(['sessionId', 'seq', 'commandId', 'command', 'atMs']))
    .prepare();
  const responsesStamp = db.$client
    .prepare('SELECT count(*), total(counted * rowid), max(received_at_ms) FROM response WHERE session_id = ?')
    .raw();
  const correctionsStamp = db.$client
    .prepare(
      'SELECT count(*), total((undone_at_ms IS NULL) * rowid), max(at_ms) FROM correction WHERE response_id IN (SELECT id FROM response WHERE session_id = ?)',
    )
    .raw();
  const commandKnown = db
    .select({ seq: sessionEvent.seq })
    .from(sessionEvent)
    .where(and(eq(sessionEvent.sessionId, sql.placeholder('sessionId')), eq(sessionEvent.commandId, sql.placeholder('commandId'))))
    .prepare();
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

    responseCounts: (teacherId: string) =>
      db
        .select({ sessionId: response.sessionId, responses: count() })
        .from(response)
        .innerJoin(liveSession, eq(liveSession.id, response.sessionId))
        .where(eq(liveSession.teacherId, teacherId))
        .groupBy(response.sessionId)
        .all(),

    insertSession: (row: typeof liveSession.$inferInsert) => db.insert(liveSession).values(row).run(),

    saveRoom: (id: string, phase: typeof liveSession.$inferSelect.phase, room: string) => saveRoom.run({ id, phase, room }),

    end: (id: string, endedAtMs: number) => db.update(liveSession).set({ endedAtMs, roomKey: null }).where(eq(liveSession.id, id)).run(),

    commandKnown: (sessionId: string, commandId: string) => commandKnown.get({ sessionId, commandId }) !== undefined,

    eventCount: (sessionId: string) =>
      db.select({ events: count() }).from(sessionEvent).where(eq(sessionEvent.sessionId, sessionId)).get()!.events,

    insertEvent: (row: typeof sessionEvent.$inferInsert) => insertEvent.run(row),

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

    /** Live sessions that were opened before a moment and have not ended. */
    openSince: (beforeMs: number) =>
      db
        .select({ id: liveSession.id })
        .from(liveSession)
        .where(and(isNull(liveSession.endedAtMs), eq(liveSession.pace, 'live'), lt(liveSession.createdAtMs, beforeMs)))
        .all(),

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

    /** Another text whenever an answer of a session came or went, counts or not, or was corrected; whose it is, it does not tell. */
    answersStamp: (sessionId: string): string => JSON.stringify([responsesStamp.get(sessionId), correctionsStamp.get(sessionId)]),

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

    setCounted: (id: string, counted: boolean) => db.update(response).set({ counted }).where(eq(response.id, id)).run(),

    /** Who of a class is in at once, as its teacher last had it. */
    doorAdmitsOf: (classId: string) =>
      db.select({ admits: schoolClass.doorAdmits }).from(schoolClass).where(eq(schoolClass.id, classId)).get()?.admits,

    setDoorAdmits: (classId: string, doorAdmits: DoorMode) =>
      db.update(schoolClass).set({ doorAdmits }).where(eq(schoolClass.id, classId)).run(),

    deleteResponse: (id: string) => db.delete(response).where(eq(response.id, id)).run(),

    response: (id: string) => db.select().from(response).where(eq(response.id, id)).get(),

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
  };
}

export type LiveQueries = ReturnType<typeof liveQueries>;

/** A row of placeholders, one for each column that is to be given later. */
function placeholders<Row>(names: readonly (keyof Row & string)[]): Row {
  return Object.fromEntries(names.map((name) => [name, sql.placeholder(name)])) as never;
}
