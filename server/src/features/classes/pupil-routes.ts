import { CoreError } from '@zeitpunkt/core/errors';
import { ClassDetail, PupilChange, PupilLeave, PupilMerge, PupilMove, PupilsIn } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { reallyDelete } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import { mergePupils } from './merge-pupils.js';
import type { ClassRoutesOptions } from './options.js';
import {
  changePupil,
  classPupils,
  deletePupil,
  findPupil,
  insertPupils,
  movePupil,
  mustBeFree,
  mustOwnClass,
  nameTaken,
  record,
} from './queries.js';

const Params = Type.Object({ id: Type.String() });
const PupilParams = Type.Object({ id: Type.String(), pupilId: Type.String() });
/** A whole school's list with long names and references. */
const PUPILS_BODY_BYTES = 1024 * 1024;

/** The pupils of a class: added, named, merged, moved; those who leave; and one pupil's data out and deleted. */
export const pupilRoutes: Feature<ClassRoutesOptions> = async (app, { store, work, requireTeacher, events, nowMs, detail }) => {
  const { db } = store;
  /** A pupil of a class of whoever asks. @throws CoreError NOT_FOUND, PUPIL_UNKNOWN */
  const own = (teacherId: string, { id, pupilId }: { readonly id: string; readonly pupilId: string }) => {
    const schoolClass = mustOwnClass(db, teacherId, id);
    const pupil = findPupil(db, pupilId);
    if (pupil?.classId !== id) throw new CoreError('PUPIL_UNKNOWN', 'This class has no such pupil.');
    return { pupil, schoolClass };
  };

  app.post(
    '/api/classes/:id/pupils',
    { schema: { params: Params, body: PupilsIn, response: { 200: ClassDetail } }, bodyLimit: PUPILS_BODY_BYTES },
    (request) => {
      const teacher = requireTeacher(request);
      const { id: classId } = mustOwnClass(db, teacher.id, request.params.id);
      const present = classPupils(db, classId);
      const ids = new Set(present.map(({ id }) => id));
      const added = request.body.pupils.filter(({ id }) => !ids.has(id));
      const names = new Set(present.map(({ name }) => name));
      for (const { id, name } of added) {
        if (names.has(name)) throw nameTaken(name);
        if (findPupil(db, id)) throw new CoreError('PUPIL_UNKNOWN', 'This pupil id is in use in another class.');
        names.add(name);
      }
      store.sqlite.transaction(() => insertPupils(db, classId, added))();
      if (added.length > 0) events.emit('classChanged', { classId, merged: false });
      return detail(teacher.id, classId);
    },
  );

  app.post(
    '/api/classes/:id/pupils/:pupilId/change',
    { schema: { params: PupilParams, body: PupilChange, response: { 200: ClassDetail } } },
    (request) => {
      const teacher = requireTeacher(request);
      const { pupil } = own(teacher.id, request.params);
      const { name } = request.body;
      if (name !== undefined) mustBeFree(db, pupil.classId, name, pupil.id);
      changePupil(db, pupil.id, request.body);
      events.emit('classChanged', { classId: pupil.classId, merged: false });
      return detail(teacher.id, pupil.classId);
    },
  );

  app.post(
    '/api/classes/:id/pupils/:pupilId/leave',
    { schema: { params: PupilParams, body: PupilLeave, response: { 200: ClassDetail } } },
    (request) => {
      const teacher = requireTeacher(request);
      const { pupil } = own(teacher.id, request.params);
      const { left } = request.body;
      if (left !== (pupil.leftAtMs !== null)) changePupil(db, pupil.id, { leftAtMs: left ? nowMs() : null });
      events.emit('classChanged', { classId: pupil.classId, merged: false });
      return detail(teacher.id, pupil.classId);
    },
  );

  app.post(
    '/api/classes/:id/pupils/:pupilId/move',
    { schema: { params: PupilParams, body: PupilMove, response: { 200: ClassDetail } } },
    (request) => {
      const teacher = requireTeacher(request);
      const { pupil } = own(teacher.id, request.params);
      const to = mustOwnClass(db, teacher.id, request.body.classId);
      mustBeFree(db, to.id, pupil.name, pupil.id);
      movePupil(db, pupil.id, to.id);
      events.emit('classChanged', { classId: pupil.classId, merged: false });
      events.emit('classChanged', { classId: to.id, merged: false });
      return detail(teacher.id, request.params.id);
    },
  );

  app.post(
    '/api/classes/:id/pupils/:pupilId/merge',
    { schema: { params: PupilParams, body: PupilMerge, response: { 200: ClassDetail } } },
    (request) => {
      const teacher = requireTeacher(request);
      const { pupil: goes } = own(teacher.id, request.params);
      const { pupil: stays } = own(teacher.id, { ...request.params, pupilId: request.body.into });
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
    const { pupil, schoolClass } = own(requireTeacher(request).id, request.params);
    record(db, { classId: schoolClass.id, act: 'pupil-exported', count: 1, atMs: nowMs() });
    const document = await work.ask('exportPupil', pupil.id, schoolClass.name, nowMs());
    return reply.type('application/json; charset=utf-8').send(document);
  });

  app.post('/api/classes/:id/pupils/:pupilId/delete', { schema: { params: PupilParams, response: { 200: ClassDetail } } }, (request) => {
    const teacher = requireTeacher(request);
    const { pupil } = own(teacher.id, request.params);
    reallyDelete(store, () => {
      deletePupil(db, pupil.id);
      record(db, { classId: pupil.classId, act: 'pupil-deleted', count: 1, atMs: nowMs() });
    });
    events.emit('classChanged', { classId: pupil.classId, merged: false });
    return detail(teacher.id, pupil.classId);
  });
};
