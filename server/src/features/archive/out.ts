import { writeClassFile, writeLesson, writePlan, writeResult } from '@zeitpunkt/core/formats/stored';
import { plannedLessons } from '@zeitpunkt/core/series/series';
import { asc, eq } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import type { ZipEntry } from '../../files/write-zip.js';
import { pupil } from '../../tables/classes.js';
import { ownLesson } from '../lessons/gives.js';
import { sessionQueries } from '../../sessions/queries.js';
import { planOf } from '../plans/gives.js';
import { AT_ONCE, resultRows } from '../results/gives.js';
import { reviewQueries } from '../review/gives.js';

/** Where everything stands in the archive of a class. */
export const PATHS = {
  class: 'class.json',
  plan: 'plan.json',
  results: 'results.jsonl',
  /** A lesson of the series, and one as it was taught in a session. */
  lesson: (id: string) => `lessons/${id}.lesson.json`,
  taught: (sessionId: string) => `taught/${sessionId}.lesson.json`,
} as const;

export interface OwnClass {
  readonly id: string;
  readonly name: string;
  readonly keepDays: number | null;
}

/** Everything of a class as the files of its archive. */
export async function* archiveOf(db: Db, teacherId: string, { id, name, keepDays }: OwnClass): AsyncGenerator<ZipEntry> {
  const pupils = db
    .select({ id: pupil.id, name: pupil.name, reference: pupil.reference, leftAtMs: pupil.leftAtMs })
    .from(pupil)
    .where(eq(pupil.classId, id))
    .orderBy(asc(pupil.place))
    .all();
  const live = sessionQueries(db);
  const doorAdmits = live.doorAdmitsOf(id) ?? 'one-by-one';
  yield { path: PATHS.class, pieces: [writeClassFile({ name, keepDays, doorAdmits, pupils, notes: reviewQueries(db).notes(id) })] };
  const { plan } = planOf(db, { id, name });
  yield { path: PATHS.plan, pieces: [writePlan(plan)] };
  for (const { lessonId } of plannedLessons(plan)) {
    const row = ownLesson(db, teacherId, lessonId);
    if (row) yield { path: PATHS.lesson(lessonId), pieces: [writeLesson(stored.lesson(row.draft, row.title))] };
  }
  const taught = new Set<string>();
  yield { path: PATHS.results, pieces: lines(db, id, taught) };
  // The answers are written by now: their lessons are known, and can be read.
  for (const sessionId of taught) {
    const { file, session } = live.session(sessionId)!;
    yield { path: PATHS.taught(sessionId), pieces: [writeLesson(stored.lesson(file, session.title))] };
  }
}

/** The answers, one a line. @param sessions gets the sessions that they were given in */
async function* lines(db: Db, classId: string, sessions: Set<string>): AsyncGenerator<string> {
  for await (const rows of resultRows(db, classId, null)) {
    if (rows[0]) sessions.add(rows[0].sessionId);
    for (let at = 0; at < rows.length; at += AT_ONCE) {
      yield rows
        .slice(at, at + AT_ONCE)
        .map((row) => `${JSON.stringify(writeResult(row))}\n`)
        .join('');
    }
  }
}
