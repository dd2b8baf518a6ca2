import { ClassDetail, PupilMerge } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import { reallyDelete } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import { mergePupils } from './merge-pupils.js';
import type { ClassRoutesOptions } from './options.js';
import { deletePupil, mustOwnPupil, record } from './queries.js';

const PupilParams = Type.Object({ id: Type.String(), pupilId: Type.String() });

/** All that is kept of one pupil: put together with another's, out as a file, and deleted for good. */
export const pupilDataRoutes: Feature<ClassRoutesOptions> = async (app, { store, work, requireTeacher, events, nowMs, detail }) => {
  const { db } = store;

  app.post(
    '/api/classes/:id/pupils/:pupilId/merge',
    { schema: { params: PupilParams, body: PupilMerge, response: { 200: ClassDetail } } },
    (request) => {
      const teacher = requireTeacher(request);
      const { pupil: goes } = mustOwnPupil(db, teacher.id, request.params);
      const { pupil: stays } = mustOwnPupil(db, teacher.id, { ...request.params, pupilId: request.body.into });
      if (goes.id === stays.id) throw new CoreError('PUPIL_UNKNOWN', 'A pupil cannot be merged with the same pupil.');
      reallyDelete(store, () => {
        mergePupils(db, goes.id, stays.id, nowMs());
        record(db, { classId: goes.classId, act: 'pupils-merged', count: 2, atMs: nowMs() });
      });
      events.emit('classChanged', { classId: goes.classId, merged: true });
      return detail(teacher.id, goes.classId);
    },
  );

  app.get('/api/classes/:id/pupils/:pupilId/export', { schema: { params: PupilParams } }, async (request, reply) => {
    const { pupil, schoolClass } = mustOwnPupil(db, requireTeacher(request).id, request.params);
    record(db, { classId: schoolClass.id, act: 'pupil-exported', count: 1, atMs: nowMs() });
    const document = await work.ask('exportPupil', pupil.id, schoolClass.name, nowMs());
    return reply.type('application/json; charset=utf-8').send(document);
  });

  app.post('/api/classes/:id/pupils/:pupilId/delete', { schema: { params: PupilParams, response: { 200: ClassDetail } } }, (request) => {
    const teacher = requireTeacher(request);
    const { pupil } = mustOwnPupil(db, teacher.id, request.params);
    reallyDelete(store, () => {
      deletePupil(db, pupil.id);
      record(db, { classId: pupil.classId, act: 'pupil-deleted', count: 1, atMs: nowMs() });
    });
    events.emit('classChanged', { classId: pupil.classId, merged: false });
    return detail(teacher.id, pupil.classId);
  });
};
