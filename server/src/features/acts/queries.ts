import type { ActName } from '@zeitpunkt/contract';
import { desc, eq, lt } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { schoolAct, schoolSetting } from '../../tables/acts.js';
import { teacher } from '../../tables/auth.js';

/** A year, where the first teacher has set nothing else. */
const USUAL_KEEP_DAYS = 365;
/** So many are told at most. */
const MOST_TOLD = 500;

/** Something that was done at the school. */
export interface Act {
  readonly act: ActName;
  readonly atMs: number;
  /** The teacher who did it; null where it happened by itself. */
  readonly teacherId: string | null;
  /** What it was done to: never a pupil. */
  readonly about?: string;
  readonly count?: number;
}

/** Writes down that something was done, in the transaction of whoever did it. */
export function noteAct(db: Db, { act, atMs, teacherId, about = '', count = 0 }: Act): void {
  const who =
    teacherId === null ? '' : (db.select({ name: teacher.name }).from(teacher).where(eq(teacher.id, teacherId)).get()?.name ?? '');
  db.insert(schoolAct).values({ act, atMs, who, about, count }).run();
}

/** What was done, the newest first. */
export function actsOf(db: Db) {
  return db
    .select({ atMs: schoolAct.atMs, act: schoolAct.act, who: schoolAct.who, about: schoolAct.about, count: schoolAct.count })
    .from(schoolAct)
    .orderBy(desc(schoolAct.id))
    .limit(MOST_TOLD)
    .all();
}

/** How long acts are kept, in days. */
export function keepDaysOf(db: Db): number {
  return (
    db.select({ days: schoolSetting.value }).from(schoolSetting).where(eq(schoolSetting.name, 'actsKeepDays')).get()?.days ??
    USUAL_KEEP_DAYS
  );
}

export function keepActsFor(db: Db, days: number): void {
  const row = { name: 'actsKeepDays', value: days } as const;
  db.insert(schoolSetting).values(row).onConflictDoUpdate({ target: schoolSetting.name, set: row }).run();
}

/** Deletes what was done longer ago than it is kept. */
export function deleteOldActs(db: Db, nowMs: number): void {
  db.delete(schoolAct)
    .where(lt(schoolAct.atMs, nowMs - keepDaysOf(db) * 24 * 3600_000))
    .run();
}
