import type { ResultRow } from '@zeitpunkt/core/insight/result-row';
import type { ResultsTaken } from '@zeitpunkt/contract';
import type { Db, Store } from '../../db/connection.js';
import { whenFree } from '../../db/when-free.js';
import { record } from '../classes/gives.js';
import { readCsv, unreadable } from './columns.js';
import { csvText, xapiText } from './out.js';
import { resultRows } from './rows.js';
import { planResults, readyRows, takeResults } from './take-in.js';
import { readStatements } from './xapi.js';

/** What is done with whole files of results. */
export function resultsTasks(store: Store) {
  const { db } = store;
  return {
    /** What a file would bring. @throws CoreError RESULTS_UNREADABLE, RESULTS_ELSEWHERE, FORMAT_NEWER */
    lookAtResults: async (classId: string, file: readonly Uint8Array[]): Promise<ResultsTaken> =>
      told(await planResults(db, classId, await readFile(file))),

    /** Takes a file in, whole or not at all. @throws CoreError as above */
    async takeResults(teacherId: string, classId: string, file: readonly Uint8Array[], nowMs: number): Promise<ResultsTaken> {
      const plan = await planResults(db, classId, await readFile(file));
      const rows = await readyRows(plan.add);
      const take = store.sqlite.transaction(() => {
        takeResults(db, { teacherId, classId, plan, rows }, nowMs);
        record(db, { classId, act: 'results-taken', count: plan.added, atMs: nowMs });
      });
      await whenFree(() => take.immediate());
      return told(plan);
    },
  };
}

/** The results of a class as files. @param only one lesson, where not all are wanted */
export function resultsFlow(db: Db) {
  return {
    csv: (classId: string, only: string | null): AsyncGenerator<string> => csvText(resultRows(db, classId, only)),
    xapi: (classId: string, only: string | null): AsyncGenerator<string> => xapiText(resultRows(db, classId, only)),
  };
}

function readFile(file: readonly Uint8Array[]): Promise<ResultRow[]> {
  const text = decoded(file);
  return /^[\s\uFEFF]*\[/.test(text) ? readStatements(text) : readCsv(text);
}

function decoded(file: readonly Uint8Array[]): string {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  try {
    return file.map((piece) => decoder.decode(piece, { stream: true })).join('') + decoder.decode();
  } catch {
    throw unreadable('This file is not text in UTF-8, as files of results are.');
  }
}

const told = ({ rows, known, added, lessons, newPupils }: ResultsTaken): ResultsTaken => ({ rows, known, added, lessons, newPupils });
