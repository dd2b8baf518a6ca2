import { eq } from 'drizzle-orm';
import { writePlan } from '@zeitpunkt/core/formats/stored';
import { NEW_PLAN, type ClassPlan } from '@zeitpunkt/core/series/plan';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { classPlan } from '../../tables/plans.js';

/** The plan of a class with its revision; where nothing was planned yet, an empty one of revision 0. */
export function planOf(db: Db, { id, name }: { readonly id: string; readonly name: string }): { revision: number; plan: ClassPlan } {
  const row = db.select().from(classPlan).where(eq(classPlan.classId, id)).get();
  return row ? { revision: row.revision, plan: stored.plan(row.plan, name) } : { revision: 0, plan: NEW_PLAN };
}

export function savePlan(db: Db, classId: string, revision: number, plan: ClassPlan): void {
  const written = { plan: writePlan(plan), revision };
  db.insert(classPlan)
    .values({ classId, ...written })
    .onConflictDoUpdate({ target: classPlan.classId, set: written })
    .run();
}
