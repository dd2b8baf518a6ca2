import { RosterFile, SIZES } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Feature } from '../../http/feature.js';
import { fileOf, takesFiles } from '../../http/takes-files.js';
import type { ClassRoutesOptions } from './options.js';
import { classPupils, mustOwnClass, record } from './queries.js';
import { rosterCsv } from './roster-file.js';

/** Class lists as files: one that comes in is read as a table, of which the teacher then says what is what; and one goes out. */
export const rosterRoutes: Feature<ClassRoutesOptions> = async (app, { store, work, requireTeacher, nowMs }) => {
  const { db } = store;
  takesFiles(app);

  app.post('/api/roster-files', { schema: { response: { 200: RosterFile } }, bodyLimit: SIZES.classList.bytes }, (request) => {
    requireTeacher(request);
    return work.ask('roster', fileOf(request));
  });

  app.get('/api/classes/:id/roster.csv', { schema: { params: Type.Object({ id: Type.String() }) } }, (request, reply) => {
    const { id } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
    const pupils = classPupils(db, id).filter(({ leftAtMs }) => leftAtMs === null);
    record(db, { classId: id, act: 'list-exported', count: pupils.length, atMs: nowMs() });
    return reply.type('text/csv; charset=utf-8').send(rosterCsv(pupils));
  });
};
