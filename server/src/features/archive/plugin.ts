import { ArchiveFound, SIZES } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { Readable } from 'node:stream';
import type { Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import { fileOf, takesFiles } from '../../http/takes-files.js';
import type { Work } from '../../work/work.js';
import type { RequireTeacher } from '../auth/gives.js';
import { mustOwnClass, record } from '../classes/gives.js';

export interface ArchiveOptions {
  readonly store: Store;
  readonly work: Work;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });

/** Everything of a class as one file, and such a file made a class again, on this server or another. */
export const archivePlugin: Feature<ArchiveOptions> = async (app, { store, work, requireTeacher, nowMs }) => {
  const { db } = store;
  takesFiles(app);

  app.get('/api/classes/:id/everything.zip', { schema: { params: Params } }, (request, reply) => {
    const teacher = requireTeacher(request);
    const { id, name, keepDays } = mustOwnClass(db, teacher.id, request.params.id);
    record(db, { classId: id, act: 'class-exported', count: 1, atMs: nowMs() });
    return reply.type('application/zip').send(Readable.from(work.flow('everything', teacher.id, { id, name, keepDays }, nowMs())));
  });
  const body = { schema: { response: { 200: ArchiveFound } }, bodyLimit: SIZES.archive.bytes };

  app.post('/api/archives/look', body, (request) => {
    requireTeacher(request);
    return work.ask('lookAtArchive', fileOf(request));
  });
  app.post('/api/archives/take', body, (request) => work.ask('takeArchive', requireTeacher(request).id, fileOf(request), nowMs()));
};
