import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { stored } from '../../db/stored.js';
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Db } from '../../db/connection.js';
import { pupil, schoolClass } from '../../tables/classes.js';
import { response } from '../../tables/sessions.js';
import { sheet, sheetCopy, sheetSession } from '../../tables/paper.js';

export type SheetRow = typeof sheet.$inferSelect;
export interface Copy {
  readonly pupilId: string;
  readonly version: number;
}

/** The questions of all versions of a sheet, as it was printed. */
export const fileOf = ({ file, code }: SheetRow): Lesson => stored.lesson(file, `Sheet ${code}`);

/** @throws CoreError NOT_FOUND where there is none or it is another teacher's */
export function mustOwnSheet(db: Db, teacherId: string, id: string): SheetRow {
  const row = sheetById(db, id);
  if (row?.teacherId !== teacherId) throw new CoreError('NOT_FOUND', 'There is no such sheet.');
  return row;
}

export const sheetById = (db: Db, id: string): SheetRow | undefined => db.select().from(sheet).where(eq(sheet.id, id)).get();

/** Sheets of a lesson, the newest first. */
export function sheetsOf(db: Db, lessonId: string): SheetRow[] {
  return db.select().from(sheet).where(eq(sheet.lessonId, lessonId)).orderBy(desc(sheet.madeAtMs)).all();
}

/** The sheet of a teacher with a code: each code stands for one of them. */
export const sheetByCode = (db: Db, teacherId: string, code: string): SheetRow | undefined =>
  db
    .select()
    .from(sheet)
    .where(and(eq(sheet.teacherId, teacherId), eq(sheet.code, code)))
    .get();

/** Runs inside a transaction of whoever calls. */
export function insertSheet(db: Db, row: SheetRow, copies: readonly Copy[]): void {
  db.insert(sheet).values(row).run();
  if (copies.length > 0)
    db.insert(sheetCopy)
      .values(copies.map((copy) => ({ sheetId: row.id, ...copy })))
      .run();
}

export const deleteSheet = (db: Db, id: string): void => void db.delete(sheet).where(eq(sheet.id, id)).run();

/** Who has which version, in the order of the class. */
export function copiesOf(db: Db, sheetId: string) {
  return db
    .select({ pupilId: sheetCopy.pupilId, pupil: pupil.name, version: sheetCopy.version })
    .from(sheetCopy)
    .innerJoin(pupil, eq(pupil.id, sheetCopy.pupilId))
    .where(eq(sheetCopy.sheetId, sheetId))
    .orderBy(asc(pupil.place))
    .all();
}

export function sessionsOf(db: Db, sheetId: string) {
  const inClass = db.$count(pupil, and(eq(pupil.classId, sheetSession.classId), isNull(pupil.leftAtMs)));
  const answered = sql<number>`(select count(distinct ${response.pupilId}) from ${response} where ${eq(response.sessionId, sheetSession.sessionId)})`;
  return db
    .select({ sessionId: sheetSession.sessionId, classId: sheetSession.classId, className: schoolClass.name, pupils: inClass, answered })
    .from(sheetSession)
    .innerJoin(schoolClass, eq(schoolClass.id, sheetSession.classId))
    .where(eq(sheetSession.sheetId, sheetId))
    .orderBy(asc(schoolClass.name))
    .all();
}

export const sheetOfSession = (db: Db, sessionId: string): SheetRow | undefined =>
  db
    .select({ sheet })
    .from(sheetSession)
    .innerJoin(sheet, eq(sheet.id, sheetSession.sheetId))
    .where(eq(sheetSession.sessionId, sessionId))
    .get()?.sheet;

export const insertSheetSession = (db: Db, row: typeof sheetSession.$inferInsert): void => void db.insert(sheetSession).values(row).run();
