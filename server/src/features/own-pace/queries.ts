import { and, asc, eq, isNull, lt } from 'drizzle-orm';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import type { Db } from '../../db/connection.js';
import { pupil } from '../../tables/classes.js';
import { liveSession } from '../../tables/sessions.js';
import { ownPace, ownPlace } from '../../tables/own-pace.js';

/** Reads and writes of lessons at own pace. */
export function ownPaceQueries(db: Db) {
  return {
    insert: (row: typeof ownPace.$inferInsert, pupilIds: readonly string[]) => {
      db.insert(ownPace).values(row).run();
      for (const pupilId of pupilIds) db.insert(ownPlace).values({ sessionId: row.sessionId, pupilId }).run();
    },

    find: (sessionId: string) => db.select().from(ownPace).where(eq(ownPace.sessionId, sessionId)).get(),

    change: (sessionId: string, change: Partial<typeof ownPace.$inferInsert>) => {
      if (Object.keys(change).length > 0) db.update(ownPace).set(change).where(eq(ownPace.sessionId, sessionId)).run();
    },

    /** The places of those a lesson was given to who are still in a class, in the order of their class. */
    places: (sessionId: string) =>
      db
        .select({ place: ownPlace, name: pupil.name })
        .from(ownPlace)
        .innerJoin(pupil, eq(pupil.id, ownPlace.pupilId))
        .where(and(eq(ownPlace.sessionId, sessionId), isNull(pupil.leftAtMs)))
        .orderBy(asc(pupil.place))
        .all(),

    addPlaces: (sessionId: string, pupilIds: readonly string[]) => {
      for (const pupilId of pupilIds) db.insert(ownPlace).values({ sessionId, pupilId }).onConflictDoNothing().run();
    },

    savePlace: (sessionId: string, pupilId: string, change: Partial<typeof ownPlace.$inferInsert>) =>
      db
        .update(ownPlace)
        .set(change)
        .where(and(eq(ownPlace.sessionId, sessionId), eq(ownPlace.pupilId, pupilId)))
        .run(),

    ...openLessonQueries(db),

    setKey: (sessionId: string, roomKey: string) => db.update(liveSession).set({ roomKey }).where(eq(liveSession.id, sessionId)).run(),

    /** Opens a session again, or ends it. Its key stays its own. */
    setEnded: (sessionId: string, ended: { readonly endedAtMs: number | null; readonly room: string }) =>
      db
        .update(liveSession)
        .set({ ...ended, phase: ended.endedAtMs === null ? 'running' : 'ended' })
        .where(eq(liveSession.id, sessionId))
        .run(),
  };
}

/** Which lessons at own pace are open: of a pupil, of a class, by their keys, and beyond their last day. */
const openLessonQueries = (db: Db) => ({
  /** Lessons that were given to a pupil and are not over, the one that ends first before the others. */
  givenTo: (pupilId: string) =>
    db
      .select({
        sessionId: ownPace.sessionId,
        title: liveSession.title,
        firstDay: ownPace.firstDay,
        lastDay: ownPace.lastDay,
        finishedAtMs: ownPlace.finishedAtMs,
      })
      .from(ownPlace)
      .innerJoin(ownPace, eq(ownPace.sessionId, ownPlace.sessionId))
      .innerJoin(liveSession, eq(liveSession.id, ownPlace.sessionId))
      .where(and(eq(ownPlace.pupilId, pupilId), isNull(liveSession.endedAtMs)))
      .orderBy(asc(ownPace.lastDay))
      .all(),

  /** Lessons of a class that are not over. */
  openOf: (classId: string) =>
    db
      .select({ id: ownPace.sessionId, toAll: ownPace.toAll })
      .from(ownPace)
      .innerJoin(liveSession, eq(liveSession.id, ownPace.sessionId))
      .where(and(eq(liveSession.classId, classId), isNull(liveSession.endedAtMs)))
      .all(),

  /** Lessons that are open though their last day is over. */
  over: (today: IsoDate) =>
    db
      .select({ id: ownPace.sessionId })
      .from(ownPace)
      .innerJoin(liveSession, eq(liveSession.id, ownPace.sessionId))
      .where(and(isNull(liveSession.endedAtMs), lt(ownPace.lastDay, today)))
      .all(),

  /** Lessons that are open, with their keys. */
  openKeys: () =>
    db
      .select({ id: ownPace.sessionId, roomKey: liveSession.roomKey })
      .from(ownPace)
      .innerJoin(liveSession, eq(liveSession.id, ownPace.sessionId))
      .where(isNull(liveSession.endedAtMs))
      .all(),
});

export type OwnPaceQueries = ReturnType<typeof ownPaceQueries>;
