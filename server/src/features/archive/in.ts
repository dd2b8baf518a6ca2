import { CoreError } from '@zeitpunkt/core/errors';
import type { ClassFile } from '@zeitpunkt/core/formats/class-file/class-file';
import type { ResultRow } from '@zeitpunkt/core/insight/result-row';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { ClassPlan } from '@zeitpunkt/core/series/plan';
import type { ArchiveFound } from '@zeitpunkt/contract';
import { eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { setImmediate } from 'node:timers/promises';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { jsonOf, textOf } from '../../files/text-of.js';
import { findPupil, insertClass, insertPupils } from '../classes/gives.js';
import { pupil } from '../../tables/classes.js';
import { insertLesson, lessonById, nextPlace } from '../lessons/gives.js';
import { sessionQueries } from '../../sessions/queries.js';
import { savePlan } from '../plans/gives.js';
import { readyRows, takeResults, type ReadyRow } from '../results/gives.js';
import { reviewQueries } from '../review/gives.js';
import { PATHS } from './out.js';

/** Everything of an archive, read and checked; nothing is changed yet. */
export interface Archive {
  readonly file: ClassFile;
  readonly plan: ClassPlan | null;
  readonly lessons: ReadonlyMap<string, Lesson>;
  /** Lessons as they were taught, by the session. */
  readonly taught: ReadonlyMap<string, Lesson>;
  readonly rows: readonly ResultRow[];
}

const AT_ONCE = 200;
const LESSON_PATH = /^(lessons|taught)\/([0-9a-f-]{36})\.lesson\.json$/;

/** @throws CoreError FILE_UNREADABLE, CLASS_UNREADABLE, PLAN_UNREADABLE, LESSON_UNREADABLE, RESULTS_UNREADABLE, FORMAT_NEWER, with the place */
export async function readArchive(files: ReadonlyMap<string, Uint8Array>): Promise<Archive> {
  const classFile = files.get(PATHS.class);
  if (!classFile)
    throw new CoreError('FILE_UNREADABLE', `This is no archive of a class: it has no ${PATHS.class}.`, { missing: PATHS.class });
  const file = stored.classFile(jsonOf(classFile, PATHS.class));
  const planFile = files.get(PATHS.plan);
  const plan = planFile ? stored.plan(jsonOf(planFile, PATHS.plan), file.name) : null;
  const found = { lessons: new Map<string, Lesson>(), taught: new Map<string, Lesson>() };
  for (const [path, bytes] of files) {
    const [, folder, id] = LESSON_PATH.exec(path) ?? [];
    if (id === undefined) continue;
    found[folder as keyof typeof found].set(id, stored.lesson(jsonOf(bytes, path), path));
    await setImmediate();
  }
  const rows = await readRows(files.get(PATHS.results));
  mustBelongTogether(file, rows);
  return { file, plan, ...found, rows };
}

async function readRows(bytes: Uint8Array | undefined): Promise<ResultRow[]> {
  if (!bytes) return [];
  const rows: ResultRow[] = [];
  for (const line of textOf(bytes, PATHS.results).split('\n')) {
    if (line === '') continue;
    rows.push(stored.result(line, `in ${PATHS.results}, line ${rows.length + 1},`));
    if (rows.length % AT_ONCE === 0) await setImmediate();
  }
  return rows;
}

function mustBelongTogether({ pupils, notes }: ClassFile, rows: readonly ResultRow[]): void {
  const known = new Set(pupils.map(({ id }) => id));
  const wrong = (what: string) => new CoreError('CLASS_UNREADABLE', `The archive cannot be read: ${what}.`, { what });
  if (known.size !== pupils.length) throw wrong('two pupils carry the same id at /pupils');
  const stranger = rows.find(({ pupilId }) => !known.has(pupilId));
  if (stranger) throw wrong(`an answer belongs to ${stranger.pupil}, who is not in the class`);
  const ids = new Set<string>();
  for (const { responseId } of rows) {
    if (ids.has(responseId)) throw wrong(`the answer ${responseId} is in it twice`);
    ids.add(responseId);
  }
  const named = [...notes.comments, ...notes.moves, ...notes.homePages].find(({ pupilId }) => !known.has(pupilId));
  if (named) throw wrong('a remark, a group or a page for home belongs to nobody in the class at /notes');
  if (notes.comments.some(({ responseId }) => responseId !== null && !ids.has(responseId)))
    throw wrong('a remark is on an answer that is not in it at /notes/comments');
}

/** What an archive would bring. @throws CoreError CLASS_HERE when its answers are in this school already */
export function lookAtArchive(db: Db, { file, lessons, rows }: Archive): ArchiveFound {
  const queries = sessionQueries(db);
  const sessions = new Set(rows.map(({ sessionId }) => sessionId));
  const here =
    [...sessions].some((id) => queries.session(id) !== undefined) ||
    rows.some(({ responseId }) => queries.response(responseId) !== undefined);
  if (here)
    throw new CoreError('CLASS_HERE', `Lessons of ${file.name} are in this school already. Files of results add what is missing.`, {
      name: file.name,
    });
  return {
    name: file.name,
    pupils: file.pupils.filter(({ leftAtMs }) => leftAtMs === null).length,
    lessons: [...lessons.values()].map(({ title }) => title),
    sessions: sessions.size,
    answers: rows.length,
    classId: null,
  };
}

/** An archive whose answers are written as they will be stored. */
export interface ReadyArchive extends Archive {
  readonly ready: readonly ReadyRow[];
}

export async function readyArchive(archive: Archive): Promise<ReadyArchive> {
  return { ...archive, ready: await readyRows(archive.rows) };
}

/** Makes a class of an archive. Runs inside a transaction of whoever calls, so that it is done whole or not at all. @returns the class */
export function takeArchive(db: Db, teacherId: string, archive: ReadyArchive, nowMs: number): string {
  const { file, plan, lessons, taught, rows, ready } = archive;
  const { name, keepDays } = file;
  const { id: classId } = insertClass(db, { teacherId, name, pupilNames: [], createdAtMs: nowMs, keepDays });
  sessionQueries(db).setDoorAdmits(classId, file.doorAdmits);
  // Ids are kept where nobody has them: files of results then find the same pupils.
  const pupilOf = new Map(file.pupils.map(({ id }) => [id, findPupil(db, id) ? randomUUID() : id]));
  insertPupils(
    db,
    classId,
    file.pupils.map(({ id, name, reference }) => ({ id: pupilOf.get(id)!, name, reference })),
  );
  for (const { id, leftAtMs } of file.pupils) {
    if (leftAtMs !== null)
      db.update(pupil)
        .set({ leftAtMs })
        .where(eq(pupil.id, pupilOf.get(id)!))
        .run();
  }
  const lessonOf = insertLessons(db, teacherId, lessons);
  if (plan) savePlan(db, classId, 1, withLessons(plan, lessonOf));
  const added = { pupilOf, pupilsToAdd: [], sessionsToAdd: bySession(rows) };
  takeResults(db, { teacherId, classId, plan: added, rows: ready, taught }, nowMs);
  takeNotes(db, classId, file, pupilOf);
  return classId;
}

function insertLessons(db: Db, teacherId: string, lessons: ReadonlyMap<string, Lesson>): ReadonlyMap<string, string> {
  let place = nextPlace(db, teacherId);
  return new Map(
    [...lessons].map(([id, file]) => [id, insertLesson(db, { ...(lessonById(db, id) ? {} : { id }), teacherId, file, place: place++ })]),
  );
}

/** The plan with the lessons that came with it; one whose file is missing is not planned any more. */
function withLessons(plan: ClassPlan, lessonOf: ReadonlyMap<string, string>): ClassPlan {
  const lessonIds = plan.series?.lessonIds.flatMap((id) => lessonOf.get(id) ?? []) ?? [];
  const beside = plan.beside.flatMap(({ lessonId, date }) => {
    const id = lessonOf.get(lessonId);
    return id === undefined ? [] : [{ lessonId: id, date }];
  });
  return { ...plan, beside, series: plan.series && lessonIds.length > 0 ? { ...plan.series, lessonIds } : null };
}

function bySession(rows: readonly ResultRow[]): ResultRow[][] {
  const sessions = new Map<string, ResultRow[]>();
  for (const row of rows) {
    const own = sessions.get(row.sessionId);
    if (own) own.push(row);
    else sessions.set(row.sessionId, [row]);
  }
  return [...sessions.values()];
}

function takeNotes(db: Db, classId: string, { notes }: ClassFile, pupilOf: ReadonlyMap<string, string>): void {
  const review = reviewQueries(db);
  const of = (id: string) => pupilOf.get(id)!;
  for (const { id: _id, pupilId, ...comment } of notes.comments)
    review.insertComment({ ...comment, id: randomUUID(), pupilId: of(pupilId) });
  for (const { pupilId, key } of notes.moves) review.move({ classId, pupilId: of(pupilId), key, atMs: 0 });
  for (const { wording, timeSec, atMs } of notes.wordings)
    review.insertWording({ id: randomUUID(), classId, wording, timeSec, atMs, undoneAtMs: null });
  for (const { pupilId, page, atMs } of notes.homePages) review.keepHomePage({ pupilId: of(pupilId), ...page, atMs });
}
