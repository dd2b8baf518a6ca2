import { ResultsTaken, SIZES } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { Readable } from 'node:stream';
import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import { fileOf, takesFiles } from '../../http/takes-files.js';
import type { Work } from '../../work/work.js';
import type { RequireTeacher } from '../auth/gives.js';
import { mustOwnClass, record } from '../classes/gives.js';
import { sessionIds } from '../../sessions/session-answers.js';

export interface ResultsOptions {
  readonly store: Store;
  readonly work: Work;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
  /** Open rooms follow what was taken in. */
  readonly events: Events;
}

const Params = Type.Object({ id: Type.String() });
const Only = Type.Object({ session: Type.Optional(Type.String()) });

/** Results as files: CSV for spreadsheets and xAPI statements for record stores; both are read back without loss. */
export const resultsPlugin: Feature<ResultsOptions> = async (app, { store, work, requireTeacher, nowMs, events }) => {
  const { db } = store;
  takesFiles(app);

  for (const [file, format, type] of [
    ['results.csv', 'csv', 'text/csv'],
    ['results.xapi.json', 'xapi', 'application/json'],
  ] as const) {
    app.get(`/api/classes/:id/${file}`, { schema: { params: Params, querystring: Only } }, (request, reply) => {
      const { id } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
      const only = request.query.session ?? null;
      record(db, { classId: id, act: 'results-exported', count: only ? 1 : sessionIds(db, id).length, atMs: nowMs() });
      return reply.type(`${type}; charset=utf-8`).send(Readable.from(work.flow(format, id, only)));
    });
  }
  const body = { schema: { params: Params, response: { 200: ResultsTaken } }, bodyLimit: SIZES.results.bytes };

  app.post('/api/classes/:id/results/look', body, (request) => {
    const { id } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
    return work.ask('lookAtResults', id, fileOf(request));
  });

  app.post('/api/classes/:id/results/take', body, async (request) => {
    const teacher = requireTeacher(request);
    const { id } = mustOwnClass(db, teacher.id, request.params.id);
    const taken = await work.ask('takeResults', teacher.id, id, fileOf(request), nowMs());
    events.emit('classChanged', { classId: id, merged: true });
    return taken;
  });
};
