import {
  SheetAnswers,
  SheetAnswersOpen,
  SheetDetail,
  SheetFound,
  SheetKeep,
  SheetKept,
  SheetList,
  SheetOfSession,
} from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { writeLesson } from '@zeitpunkt/core/formats/stored';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { sameJson } from '@zeitpunkt/core/same-json';
import { Type } from '@sinclair/typebox';
import { randomInt, randomUUID } from 'node:crypto';
import type { Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/gives.js';
import { pupilsOf } from '../../sessions/queries/pupils.js';
import { mustOwnClass } from '../classes/gives.js';
import { ownLesson, insertTaught } from '../lessons/gives.js';
import { sessionQueries } from '../../sessions/queries.js';
import {
  copiesOf,
  deleteSheet,
  insertSheet,
  insertSheetSession,
  mustOwnSheet,
  sessionsOf,
  sheetByCode,
  sheetById,
  sheetOfSession,
  sheetsOf,
  type SheetRow,
} from './queries.js';

export interface PaperOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });
const CodeParams = Type.Object({ code: Type.String({ maxLength: 20 }) });
/** Letters and digits that are not taken for each other, by hand or by eye. */
const CODE_SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 4;

/** Sheets that were printed, and what came back on them. */
export const paperPlugin: Feature<PaperOptions> = async (app, { store, requireTeacher, nowMs }) => {
  const { db } = store;
  const fileOf = ({ file, code }: SheetRow): Lesson => stored.lesson(file, `Sheet ${code}`);

  app.post('/api/sheets', { schema: { body: SheetKeep, response: { 200: SheetKept } } }, (request) => {
    const teacher = requireTeacher(request);
    const { id, lessonId, versions, classId, copies } = request.body;
    if (!ownLesson(db, teacher.id, lessonId)) throw new CoreError('NOT_FOUND', 'There is no such lesson.');
    const file = stored.lesson(request.body.file, 'This sheet');
    if (file.items.length === 0 || file.items.length % versions !== 0) {
      throw new CoreError('SHEET_UNREADABLE', 'Each version of a sheet has as many questions as the others, and at least one.');
    }
    const known = sheetById(db, id);
    // Sent again after its answer was lost: it is there already.
    if (known && known.teacherId === teacher.id && sameJson(fileOf(known), file)) return { id, code: known.code };
    if (known) throw new CoreError('SHEET_UNREADABLE', 'Another sheet carries this id.');
    const inClass =
      classId === null ? new Set<string>() : new Set(pupilsOf(db, mustOwnClass(db, teacher.id, classId).id).map((one) => one.id));
    if (copies.some(({ pupilId, version }) => !inClass.has(pupilId) || version >= versions)) {
      throw new CoreError('SHEET_UNREADABLE', 'This sheet is for a pupil who is not in the class, or for a version that it does not have.');
    }
    const row = {
      id,
      teacherId: teacher.id,
      lessonId,
      classId,
      code: freeCode(teacher.id),
      file: writeLesson(file),
      versions,
      madeAtMs: nowMs(),
    };
    store.sqlite.transaction(() => insertSheet(db, row, copies)).immediate();
    return { id, code: row.code };
  });

  app.get('/api/lessons/:id/sheets', { schema: { params: Params, response: { 200: SheetList } } }, (request) => {
    const teacher = requireTeacher(request);
    if (!ownLesson(db, teacher.id, request.params.id)) throw new CoreError('NOT_FOUND', 'There is no such lesson.');
    const sheets = sheetsOf(db, request.params.id).map((row) => {
      const { id, code, versions, madeAtMs, classId } = row;
      const { title, items } = fileOf(row);
      return { id, code, title, versions, questions: items.length / versions, madeAtMs, classId, sessions: sessionsOf(db, id) };
    });
    return { sheets };
  });

  app.get('/api/sheets/by-code/:code', { schema: { params: CodeParams, response: { 200: SheetFound } } }, (request) => {
    const code = request.params.code.trim().toUpperCase();
    const row = sheetByCode(db, requireTeacher(request).id, code);
    if (!row) throw new CoreError('NOT_FOUND', `None of your sheets carries the code “${code}”.`, { code });
    return { id: row.id, classId: row.classId };
  });

  app.get('/api/sheets/:id', { schema: { params: Params, response: { 200: SheetDetail } } }, (request) => {
    const row = mustOwnSheet(db, requireTeacher(request).id, request.params.id);
    return { id: row.id, code: row.code, file: fileOf(row), versions: row.versions, copies: copiesOf(db, row.id) };
  });

  app.post('/api/sheets/:id/delete', { schema: { params: Params, response: { 204: Type.Null() } } }, (request, reply) => {
    deleteSheet(db, mustOwnSheet(db, requireTeacher(request).id, request.params.id).id);
    void reply.code(204).send(null);
  });

  app.post(
    '/api/sheets/:id/answers',
    { schema: { params: Params, body: SheetAnswersOpen, response: { 200: SheetAnswers } } },
    (request) => {
      const teacher = requireTeacher(request);
      const row = mustOwnSheet(db, teacher.id, request.params.id);
      const { id: classId } = mustOwnClass(db, teacher.id, request.body.classId);
      const known = sessionsOf(db, row.id).find((one) => one.classId === classId);
      if (known) return { sessionId: known.sessionId };
      const [sessionId, atMs] = [randomUUID(), nowMs()];
      const file = fileOf(row);
      store.sqlite
        .transaction(() => {
          const askings = file.items.map((item) => ({ id: item.id, item }));
          const times = { openedAtMs: row.madeAtMs, endedAtMs: atMs };
          insertTaught(db, { sessionId, teacherId: teacher.id, classId, file, askings, pace: 'live', title: file.title, ...times }, atMs);
          insertSheetSession(db, { sessionId, sheetId: row.id, classId });
        })
        .immediate();
      return { sessionId };
    },
  );

  app.get('/api/sessions/:id/sheet', { schema: { params: Params, response: { 200: SheetOfSession } } }, (request) => {
    const teacher = requireTeacher(request);
    if (sessionQueries(db).session(request.params.id)?.session.teacherId !== teacher.id)
      throw new CoreError('NOT_FOUND', 'There is no such lesson.');
    const row = sheetOfSession(db, request.params.id);
    if (!row) return { sheet: null };
    const copies = copiesOf(db, row.id).map(({ pupilId, version }) => ({ pupilId, version }));
    return { sheet: { code: row.code, versions: versionsOf(fileOf(row).items, row.versions), copies } };
  });

  function freeCode(teacherId: string): string {
    for (;;) {
      const code = Array.from({ length: CODE_LENGTH }, () => CODE_SIGNS[randomInt(CODE_SIGNS.length)]).join('');
      if (!sheetByCode(db, teacherId, code)) return code;
    }
  }
};

/** The ids of the questions, version by version. */
function versionsOf(items: readonly Item[], versions: number): string[][] {
  const each = items.length / versions;
  return Array.from({ length: versions }, (_, version) => items.slice(version * each, (version + 1) * each).map(({ id }) => id));
}
