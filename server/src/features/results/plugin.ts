import { CoreError, type ResultRow } from '@zeitpunkt/core';
import { ResultsTaken } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyRequest } from 'fastify';
import { Readable } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import type { Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/guard.js';
import { mustOwnClass, record } from '../classes/queries.js';
import { sessionIds } from '../review/session-answers.js';
import { AT_ONCE, csvHead, csvRows, readCsv, unreadable } from './columns.js';
import { resultRows } from './rows.js';
import { planResults, takeResults } from './take-in.js';
import { readStatements, statementOf } from './xapi.js';

export interface ResultsOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
  /** Open rooms follow what was taken in. */
  readonly onChanged: (classId: string, merged: boolean) => void;
}

/** A school year of a class is about 17,000 answers of a kilobyte and a half. */
const FILE_BYTES = 48 * 1024 * 1024;
const Params = Type.Object({ id: Type.String() });
const Only = Type.Object({ session: Type.Optional(Type.String()) });

/** Results as files: CSV for spreadsheets and xAPI statements for record stores; both are read back without loss. */
export const resultsPlugin: Feature<ResultsOptions> = async (app, { store, requireTeacher, nowMs, onChanged }) => {
  const { db } = store;
  app.addContentTypeParser('application/octet-stream', (_request: FastifyRequest, body: AsyncIterable<Buffer>) => textOf(body));

  const goesOut = (request: FastifyRequest, classId: string, only: string | null) => {
    const { id } = mustOwnClass(db, requireTeacher(request).id, classId);
    record(db, { classId: id, act: 'results-exported', count: only ? 1 : sessionIds(db, id).length, atMs: nowMs() });
    return resultRows(db, id, only);
  };

  app.get('/api/classes/:id/results.csv', { schema: { params: Params, querystring: Only } }, (request, reply) => {
    const rows = goesOut(request, request.params.id, request.query.session ?? null);
    return reply.type('text/csv; charset=utf-8').send(Readable.from(csvText(rows)));
  });

  app.get('/api/classes/:id/results.xapi.json', { schema: { params: Params, querystring: Only } }, (request, reply) => {
    const rows = goesOut(request, request.params.id, request.query.session ?? null);
    return reply.type('application/json; charset=utf-8').send(Readable.from(xapiText(rows)));
  });

  // Whoever is not signed in is sent away before so large a body is read.
  const onRequest = async (request: FastifyRequest) => void requireTeacher(request);
  const read = async (request: FastifyRequest): Promise<ResultRow[]> => {
    const text = request.body as string;
    return /^[\s\uFEFF]*\[/.test(text) ? readStatements(text) : readCsv(text);
  };

  app.post(
    '/api/classes/:id/results/look',
    { schema: { params: Params, response: { 200: ResultsTaken } }, bodyLimit: FILE_BYTES, onRequest },
    async (request) => {
      const { id } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
      return told(await planResults(db, id, await read(request)));
    },
  );

  app.post(
    '/api/classes/:id/results/take',
    { schema: { params: Params, response: { 200: ResultsTaken } }, bodyLimit: FILE_BYTES, onRequest },
    async (request) => {
      const teacher = requireTeacher(request);
      const { id } = mustOwnClass(db, teacher.id, request.params.id);
      const plan = await planResults(db, id, await read(request));
      store.sqlite
        .transaction(() => {
          takeResults(db, teacher.id, id, plan, nowMs());
          record(db, { classId: id, act: 'results-taken', count: plan.added, atMs: nowMs() });
        })
        .immediate();
      onChanged(id, true);
      return told(plan);
    },
  );
};

/** A large file, decoded piece by piece as it comes. @throws CoreError REQUEST_TOO_LARGE, RESULTS_UNREADABLE */
async function textOf(body: AsyncIterable<Buffer>): Promise<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let [text, bytes] = ['', 0];
  for await (const piece of body) {
    bytes += piece.length;
    if (bytes > FILE_BYTES) throw new CoreError('REQUEST_TOO_LARGE', `A file of results may have ${FILE_BYTES / 2 ** 20} MB at most.`);
    text += decoded(() => decoder.decode(piece, { stream: true }));
  }
  return text + decoded(() => decoder.decode());
}

function decoded(decode: () => string): string {
  try {
    return decode();
  } catch {
    throw unreadable('This file is not text in UTF-8, as files of results are.');
  }
}

const told = ({ rows, known, added, lessons, newPupils }: ResultsTaken): ResultsTaken => ({ rows, known, added, lessons, newPupils });

async function* csvText(lessons: AsyncIterable<readonly ResultRow[]>): AsyncGenerator<string> {
  yield csvHead();
  for await (const rows of lessons) {
    for (let at = 0; at < rows.length; at += AT_ONCE) {
      yield csvRows(rows.slice(at, at + AT_ONCE));
      await setImmediate();
    }
  }
}

async function* xapiText(lessons: AsyncIterable<readonly ResultRow[]>): AsyncGenerator<string> {
  let before = '[\n';
  for await (const rows of lessons) {
    for (const row of rows) {
      yield `${before}${JSON.stringify(statementOf(row))}`;
      before = ',\n';
    }
  }
  yield before === '[\n' ? '[]\n' : '\n]\n';
}
