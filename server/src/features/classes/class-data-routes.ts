import { DataRecord, RetentionCheck } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { reallyDelete } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import { noteAct } from '../acts/gives.js';
import type { ClassRoutesOptions } from './options.js';
import { deleteClass, mustOwnClass, recordsOf } from './queries.js';
import { checkRetention } from './retention.js';

const Params = Type.Object({ id: Type.String() });

/** All that is kept of a class: what a shorter time would delete, what was done with it, and all of it deleted for good. */
export const classDataRoutes: Feature<ClassRoutesOptions> = async (app, { store, events, requireTeacher, nowMs }) => {
  const { db } = store;

  app.get(
    '/api/classes/:id/retention/:days',
    {
      schema: {
        params: Type.Object({ id: Type.String(), days: Type.String({ pattern: '^[1-9][0-9]{0,3}$' }) }),
        response: { 200: RetentionCheck },
      },
    },
    (request) => {
      const { id } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
      return checkRetention(db, id, Number(request.params.days), nowMs());
    },
  );

  app.get('/api/classes/:id/record', { schema: { params: Params, response: { 200: DataRecord } } }, (request) =>
    recordsOf(db, mustOwnClass(db, requireTeacher(request).id, request.params.id).id),
  );

  app.post('/api/classes/:id/delete', { schema: { params: Params, response: { 204: Type.Null() } } }, (request, reply) => {
    const teacher = requireTeacher(request);
    const { id, name } = mustOwnClass(db, teacher.id, request.params.id);
    reallyDelete(store, () => {
      noteAct(db, { act: 'class-deleted', atMs: nowMs(), teacherId: teacher.id, about: name });
      deleteClass(db, id);
    });
    events.emit('classDeleted', { classId: id });
    void reply.code(204);
    return null;
  });
};
