import type { DoorMode } from '@zeitpunkt/core/live/door';
import { eq } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { schoolClass } from '../../tables/classes.js';

/** Who of a class is in at once. */
export function doorQueries(db: Db) {
  return {
    /** Who of a class is in at once, as its teacher last had it. */
    doorAdmitsOf: (classId: string) =>
      db.select({ admits: schoolClass.doorAdmits }).from(schoolClass).where(eq(schoolClass.id, classId)).get()?.admits,

    setDoorAdmits: (classId: string, doorAdmits: DoorMode) =>
      db.update(schoolClass).set({ doorAdmits }).where(eq(schoolClass.id, classId)).run(),
  };
}
