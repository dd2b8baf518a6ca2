import type { ActName } from '@zeitpunkt/contract';
import { and, desc, eq, gt, lt } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { schoolAct, schoolSetting } from '../../tables/acts.js';
import { teacher } from '../../tables/auth.js';

const HOUR_MS = 3_600_000;
/** A year, where the first teacher has set nothing else. */
const USUAL_KEEP_DAYS = 365;
/** So many are told at most. */
const MOST_TOLD = 500;

/** After these, backups hold more of pupils than the school does. */
const DELETES_PUPILS: ReadonlySet<ActName> = new Set<ActName>(['pupil-deleted', 'class-deleted', 'retention']);

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
  db.insert(schoolAct)
    .values({ act, atMs, who: nameOf(db, teacherId), about, count })
    .run();
  if (DELETES_PUPILS.has(act)) setFor(db, 'pupilsDeletedAtMs', atMs);
}

/** The same for what a stranger can do as often as wanted: once an hour for each teacher, so that the list stays to be read. */
export function noteOnceAnHour(db: Db, one: Act): void {
  const who = nameOf(db, one.teacherId);
  const noted = db
    .select({ id: schoolAct.id })
    .from(schoolAct)
    .where(and(eq(schoolAct.act, one.act), eq(schoolAct.who, who), gt(schoolAct.atMs, one.atMs - HOUR_MS)))
    .get();
  if (!noted) noteAct(db, one);
}

const nameOf = (db: Db, teacherId: string | null): string =>
  teacherId === null ? '' : (db.select({ name: teacher.name }).from(teacher).where(eq(teacher.id, teacherId)).get()?.name ?? '');

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
export const keepDaysOf = (db: Db): number => settingOf(db, 'actsKeepDays') ?? USUAL_KEEP_DAYS;

export const keepActsFor = (db: Db, days: number): void => setFor(db, 'actsKeepDays', days);

/** When pupils, or answers of theirs, were deleted last; null where that never was. */
export const pupilsDeletedAtMs = (db: Db): number | null => settingOf(db, 'pupilsDeletedAtMs') ?? null;

type SettingName = (typeof schoolSetting.$inferSelect)['name'];

const settingOf = (db: Db, name: SettingName): number | undefined =>
  db.select({ value: schoolSetting.value }).from(schoolSetting).where(eq(schoolSetting.name, name)).get()?.value;

function setFor(db: Db, name: SettingName, value: number): void {
  const row = { name, value };
  db.insert(schoolSetting).values(row).onConflictDoUpdate({ target: schoolSetting.name, set: row }).run();
}

/** Deletes what was done longer ago than it is kept. */
export function deleteOldActs(db: Db, nowMs: number): void {
  db.delete(schoolAct)
    .where(lt(schoolAct.atMs, nowMs - keepDaysOf(db) * 24 * 3600_000))
    .run();
}
