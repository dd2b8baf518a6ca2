import { SheetDetail, SheetFound, SheetKeep, SheetKept, SheetList } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { writeLesson } from '@zeitpunkt/core/formats/stored';
import { sameJson } from '@zeitpunkt/core/same-json';
import { Type } from '@sinclair/typebox';
import { stored } from '../../db/stored.js';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { pupilsOf } from '../../sessions/queries/pupils.js';
import { mustOwnClass } from '../classes/gives.js';
import { mustOwnLesson } from '../lessons/gives.js';
import { sheetAnswerRoutes } from './answer-routes.js';
import { freeCode } from './free-code.js';
import type { PaperOptions } from './options.js';
import { copiesOf, deleteSheet, fileOf, insertSheet, mustOwnSheet, sessionsOf, sheetByCode, sheetById, sheetsOf } from './queries.js';

const Params = Type.Object({ id: Type.String() });
const CodeParams = Type.Object({ code: Type.String({ maxLength: 20 }) });
nameFeatures({ sheetAnswerRoutes });

/** Sheets that were printed, and what came back on them. */
export const paperPlugin: Feature<PaperOptions> = async (app, options) => {
  const { store, requireTeacher, nowMs } = options;
  const { db } = store;

  await app.register(sheetAnswerRoutes, options);

  app.post('/api/sheets', { schema: { body: SheetKeep, response: { 200: SheetKept } } }, (request) => {
    const teacher = requireTeacher(request);
    const { id, lessonId, versions, classId, copies } = request.body;
    mustOwnLesson(db, teacher.id, lessonId);
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
      code: freeCode(db, teacher.id),
      file: writeLesson(file),
      versions,
      madeAtMs: nowMs(),
    };
    store.sqlite.transaction(() => insertSheet(db, row, copies)).immediate();
    return { id, code: row.code };
  });

  app.get('/api/lessons/:id/sheets', { schema: { params: Params, response: { 200: SheetList } } }, (request) => {
    mustOwnLesson(db, requireTeacher(request).id, request.params.id);
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
};
