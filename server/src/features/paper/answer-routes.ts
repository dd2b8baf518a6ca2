import { SheetAnswers, SheetAnswersOpen, SheetOfSession } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { Type } from '@sinclair/typebox';
import { randomUUID } from 'node:crypto';
import type { Feature } from '../../http/feature.js';
import { sessionQueries } from '../../sessions/queries.js';
import { mustOwnClass } from '../classes/gives.js';
import { insertTaught } from '../lessons/gives.js';
import type { PaperOptions } from './options.js';
import { copiesOf, fileOf, insertSheetSession, mustOwnSheet, sessionsOf, sheetOfSession } from './queries.js';

const Params = Type.Object({ id: Type.String() });

/** What came back on a sheet: its answers are a session of its own. */
export const sheetAnswerRoutes: Feature<PaperOptions> = async (app, { store, requireTeacher, nowMs }) => {
  const { db } = store;

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
};

/** The ids of the questions, version by version. */
function versionsOf(items: readonly Item[], versions: number): string[][] {
  const each = items.length / versions;
  return Array.from({ length: versions }, (_, version) => items.slice(version * each, (version + 1) * each).map(({ id }) => id));
}
