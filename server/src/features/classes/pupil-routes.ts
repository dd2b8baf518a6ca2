import { CoreError } from '@zeitpunkt/core/errors';
import { ClassDetail, PupilChange, PupilLeave, PupilMove, PupilsIn, SIZES } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Db } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import type { ClassRoutesOptions } from './options.js';
import {
  changePupil,
  classPupils,
  findPupil,
  insertPupils,
  movePupil,
  mustBeFree,
  mustOwnClass,
  mustOwnPupil,
  nameTaken,
} from './queries.js';

const Params = Type.Object({ id: Type.String() });
const PupilParams = Type.Object({ id: Type.String(), pupilId: Type.String() });

/** The pupils of a class: added, named, moved; and those who leave. */
export const pupilRoutes: Feature<ClassRoutesOptions> = async (app, { store, requireTeacher, events, nowMs, detail }) => {
  const { db } = store;

  app.post(
    '/api/classes/:id/pupils',
    { schema: { params: Params, body: PupilsIn, response: { 200: ClassDetail } }, bodyLimit: SIZES.pupils.bytes },
    (request) => {
      const teacher = requireTeacher(request);
      const { id: classId } = mustOwnClass(db, teacher.id, request.params.id);
      const added = newAmong(db, classId, request.body.pupils);
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
      const { pupil } = mustOwnPupil(db, teacher.id, request.params);
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
      const { pupil } = mustOwnPupil(db, teacher.id, request.params);
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
      const { pupil } = mustOwnPupil(db, teacher.id, request.params);
      const to = mustOwnClass(db, teacher.id, request.body.classId);
      mustBeFree(db, to.id, pupil.name, pupil.id);
      movePupil(db, pupil.id, to.id);
      events.emit('classChanged', { classId: pupil.classId, merged: false });
      events.emit('classChanged', { classId: to.id, merged: false });
      return detail(teacher.id, request.params.id);
    },
  );
};

/** Those of a list that are not in a class yet. @throws CoreError NAME_TAKEN, PUPIL_UNKNOWN */
function newAmong(db: Db, classId: string, pupils: PupilsIn['pupils']): PupilsIn['pupils'] {
  const present = classPupils(db, classId);
  const ids = new Set(present.map(({ id }) => id));
  const names = new Set(present.map(({ name }) => name));
  const added = pupils.filter(({ id }) => !ids.has(id));
  for (const { id, name } of added) {
    if (names.has(name)) throw nameTaken(name);
    if (findPupil(db, id)) throw new CoreError('PUPIL_UNKNOWN', 'This pupil id is in use in another class.');
    names.add(name);
  }
  return added;
}
