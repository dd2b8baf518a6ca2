import { and, asc, eq, isNotNull, isNull, lt, max } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { savedDial } from '../../tables/dials.js';

/** Reads and writes of saved dials; each names the teacher, so that nobody reaches another's. */
export function dialQueries(db: Db) {
  const own = (teacherId: string, id: string) => and(eq(savedDial.id, id), eq(savedDial.teacherId, teacherId));
  return {
    list: (teacherId: string) =>
      db
        .select()
        .from(savedDial)
        .where(and(eq(savedDial.teacherId, teacherId), isNull(savedDial.deletedAtMs)))
        .orderBy(asc(savedDial.place))
        .all(),

    /** A dial by its id, whoever it belongs to. */
    find: (id: string) => db.select().from(savedDial).where(eq(savedDial.id, id)).get(),

    nextPlace: (teacherId: string) =>
      (db
        .select({ last: max(savedDial.place) })
        .from(savedDial)
        .where(eq(savedDial.teacherId, teacherId))
        .get()?.last ?? -1) + 1,

    insert: (row: typeof savedDial.$inferInsert) => db.insert(savedDial).values(row).run(),

    update: (teacherId: string, id: string, change: Partial<typeof savedDial.$inferInsert>) =>
      db.update(savedDial).set(change).where(own(teacherId, id)).run().changes,

    purge: (deletedBeforeMs: number) =>
      db
        .delete(savedDial)
        .where(and(isNotNull(savedDial.deletedAtMs), lt(savedDial.deletedAtMs, deletedBeforeMs)))
        .run(),
  };
}
