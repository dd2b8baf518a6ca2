import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { pupil } from '../../tables/classes.js';

/** The pupils who are in a class, in its order. */
export function pupilsOf(db: Db, classId: string): { id: string; name: string }[] {
  return db
    .select({ id: pupil.id, name: pupil.name })
    .from(pupil)
    .where(and(eq(pupil.classId, classId), isNull(pupil.leftAtMs)))
    .orderBy(asc(pupil.place))
    .all();
}
