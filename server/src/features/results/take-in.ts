import { randomUUID } from 'node:crypto';
import { setImmediate } from 'node:timers/promises';
import { eq } from 'drizzle-orm';
import { CoreError } from '@zeitpunkt/core/errors';
import { writeMark, writeResponse } from '@zeitpunkt/core/formats/stored';
import type { ResultRow } from '@zeitpunkt/core/insight/result-row';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { sameJson } from '@zeitpunkt/core/same-json';
import { lessonOfQuestions } from '@zeitpunkt/core/edit/lesson-of-questions';
import type { ResultsTaken } from '@zeitpunkt/contract';
import type { Db } from '../../db/connection.js';
import { findPupil, insertPupils } from '../classes/gives.js';
import { pupil } from '../../tables/classes.js';
import { sessionQueries } from '../../sessions/queries.js';
import { insertTaught } from '../lessons/gives.js';
import { reviewQueries } from '../review/gives.js';
import { AT_ONCE, unreadable } from './columns.js';

/** What a file of results means for a class: found out before anything is changed. */
export interface ResultsPlan extends ResultsTaken {
  readonly add: readonly ResultRow[];
  /** The pupil of the class that each pupil of the file is. */
  readonly pupilOf: ReadonlyMap<string, string>;
  readonly pupilsToAdd: readonly { readonly id: string; readonly name: string; readonly reference: string | null }[];
  readonly sessionsToAdd: readonly (readonly ResultRow[])[];
}

/**
 * Looks what of a file is new for a class. A pupil is known by id, else by reference, else by name; whoever is not there is
 * added. A lesson that is not there is put together from its questions.
 * @throws CoreError RESULTS_ELSEWHERE, RESULTS_UNREADABLE
 */
export async function planResults(db: Db, classId: string, rows: readonly ResultRow[]): Promise<ResultsPlan> {
  const queries = sessionQueries(db);
  const own = db.select().from(pupil).where(eq(pupil.classId, classId)).all();
  const pupilOf = new Map<string, string>();
  const pupilsToAdd: { id: string; name: string; reference: string | null }[] = [];
  const sessions = new Map<string, ResultRow[]>();
  const found = new Map<string, { readonly classId: string } | undefined>();
  const sessionOf = (id: string) => {
    if (!found.has(id)) found.set(id, queries.session(id)?.session);
    return found.get(id);
  };
  const seen = new Set<string>();
  const add: ResultRow[] = [];
  for (const row of rows) {
    if (seen.has(row.responseId)) throw unreadable(`The answer ${row.responseId} is in this file twice.`);
    seen.add(row.responseId);
    if (seen.size % AT_ONCE === 0) await setImmediate();
    const known = queries.response(row.responseId);
    if (known && known.sessionId !== row.sessionId) throw elsewhere(row);
    const session = sessionOf(row.sessionId);
    if (session && session.classId !== classId) throw elsewhere(row);
    if (!session) {
      const own = sessions.get(row.sessionId);
      if (own) own.push(row);
      else sessions.set(row.sessionId, [row]);
    }
    if (known) continue;
    add.push(row);
    if (pupilOf.has(row.pupilId)) continue;
    const { reference, pupil: name } = row;
    const pupilHere = own.find(({ id }) => id === row.pupilId) ?? (reference && own.find((one) => one.reference === reference)) ?? own.find((one) => one.name === name); // prettier-ignore
    if (pupilHere) pupilOf.set(row.pupilId, pupilHere.id);
    else {
      const id = findPupil(db, row.pupilId) ? randomUUID() : row.pupilId;
      pupilsToAdd.push({ id, name, reference });
      pupilOf.set(row.pupilId, id);
    }
  }
  return {
    rows: rows.length,
    known: rows.length - add.length,
    added: add.length,
    lessons: [...new Set([...sessions.values()].map(([first]) => first!.lesson))],
    newPupils: pupilsToAdd.map(({ name }) => name),
    add,
    pupilOf,
    pupilsToAdd,
    sessionsToAdd: [...sessions.values()],
  };
}

const elsewhere = ({ pupil: name, lesson }: ResultRow) =>
  new CoreError(
    'RESULTS_ELSEWHERE',
    `The answers of ${name} to “${lesson}” belong to another class of this school; nothing was taken in.`,
    { name, lesson },
  );

/** An answer of a file with what of it is stored, written already. */
export interface ReadyRow {
  readonly row: ResultRow;
  readonly given: string;
  readonly mark: string;
  /** The mark that it was corrected to. */
  readonly corrected: string | null;
}

/** Answers as they will be stored: made before the database is held for them. */
export async function readyRows(rows: readonly ResultRow[]): Promise<ReadyRow[]> {
  const ready: ReadyRow[] = [];
  for (const row of rows) {
    const corrected = row.correction && writeMark(row.correction.mark);
    ready.push({ row, given: writeResponse(row.response), mark: writeMark(row.mark), corrected });
    if (ready.length % AT_ONCE === 0) await setImmediate();
  }
  return ready;
}

/** What is taken in, and where. */
export interface ResultsToTake {
  readonly teacherId: string;
  readonly classId: string;
  readonly plan: Pick<ResultsPlan, 'pupilOf' | 'pupilsToAdd' | 'sessionsToAdd'>;
  readonly rows: readonly ReadyRow[];
  /** Lessons that are known, by their session; any other is put together from its questions. */
  readonly taught?: ReadonlyMap<string, Lesson>;
}

/** Takes in what was planned. Runs inside a transaction of whoever calls, so that it is done whole or not at all. */
export function takeResults(db: Db, { teacherId, classId, plan, rows, taught }: ResultsToTake, nowMs: number): void {
  const queries = sessionQueries(db);
  const review = reviewQueries(db);
  insertPupils(db, classId, plan.pupilsToAdd);
  for (const session of plan.sessionsToAdd)
    addSession(db, { teacherId, classId, rows: session, known: taught?.get(session[0]!.sessionId) ?? null }, nowMs);
  const attempts = new Map<string, number>();
  const isNew = new Set(plan.sessionsToAdd.map(([first]) => first!.sessionId));
  for (const { row, given, mark, corrected } of rows) {
    const pupilId = plan.pupilOf.get(row.pupilId)!;
    const place = `${row.sessionId} ${pupilId} ${row.askingId}`;
    // An attempt that is there already keeps its number: what comes in is counted behind it.
    const before = attempts.get(place) ?? (isNew.has(row.sessionId) ? 0 : queries.attempts(row.sessionId, pupilId, row.askingId).length);
    const attempt = Math.max(row.attempt, before + 1);
    attempts.set(place, attempt);
    queries.insertResponse({
      id: row.responseId,
      sessionId: row.sessionId,
      pupilId,
      askingId: row.askingId,
      attempt,
      given,
      mark,
      responseTimeMs: row.responseTimeMs,
      receivedAtMs: row.receivedAtMs,
      late: row.late !== null,
      waitedMs: row.late?.waitedMs ?? 0,
      closedAtMs: row.late?.closedAtMs ?? null,
      source: row.source,
      counted: row.late === null || row.late.counted,
    });
    if (!row.correction || corrected === null) continue;
    const { reason, atMs } = row.correction;
    const correction = { id: randomUUID(), responseId: row.responseId, mark: corrected, was: row.mark.verdict };
    review.insertCorrection({ ...correction, reason, wordingId: null, atMs });
  }
}

interface SessionToAdd {
  readonly teacherId: string;
  readonly classId: string;
  readonly rows: readonly ResultRow[];
  /** The lesson as it was taught, where it came with its answers. */
  readonly known: Lesson | null;
}

/** A lesson that is not there, put together from its questions where it is not known, and put away: it is in the review. */
function addSession(db: Db, { teacherId, classId, rows, known }: SessionToAdd, nowMs: number): void {
  const [first] = rows as [ResultRow, ...ResultRow[]];
  const asked = [...new Map(rows.map((row) => [row.askingId, row])).values()].sort((one, other) => one.number - other.number);
  const items = new Map<string, Item>();
  for (const { item } of asked) {
    const before = items.get(item.id);
    if (before && !sameJson(before, item)) throw unreadable(`Two questions of “${first.lesson}” carry the id “${item.id}”.`);
    items.set(item.id, item);
  }
  insertTaught(
    db,
    {
      sessionId: first.sessionId,
      teacherId,
      classId,
      file:
        known ??
        lessonOfQuestions({ title: first.lesson, goal: 'Taken in from a file of results.', rung: first.rung, settings: first.settings }, [
          ...items.values(),
        ]),
      askings: asked.map(({ askingId: id, item }) => ({ id, item })),
      pace: first.pace,
      title: first.lesson,
      openedAtMs: first.taughtAtMs,
      endedAtMs: Math.max(...rows.map(({ receivedAtMs }) => receivedAtMs)),
    },
    nowMs,
  );
}
