import { CoreError } from '@zeitpunkt/core';
import { ClassDetail, ClassList, PupilAdd, PupilRename } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { reallyDelete, type Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/guard.js';
import { classesOf, deleteClass, deletePupil, findPupil, insertPupil, mustOwnClass, pupilsOf, renamePupil } from './queries.js';

export interface ClassesOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  /** Open rooms follow what changes in their class. */
  readonly onChanged: (classId: string) => void;
  readonly onDeleted: (classId: string) => void;
}

const Params = Type.Object({ id: Type.String() });
const PupilParams = Type.Object({ id: Type.String(), pupilId: Type.String() });

/** A teacher's classes and their pupils. What is deleted is gone: from the file, and from open rooms. */
export const classesPlugin: Feature<ClassesOptions> = async (app, { store, requireTeacher, onChanged, onDeleted }) => {
  const { db } = store;
  const mustOwn = (teacherId: string, classId: string) => mustOwnClass(db, teacherId, classId);
  const mustHold = (classId: string, pupilId: string) => {
    if (findPupil(db, pupilId)?.classId !== classId) throw new CoreError('PUPIL_UNKNOWN', 'This class has no such pupil.');
  };
  const mustBeFree = (classId: string, name: string, exceptId: string) => {
    if (pupilsOf(db, classId).some((pupil) => pupil.name === name && pupil.id !== exceptId)) {
      throw new CoreError('NAME_TAKEN', `${name} is in this class already. Two pupils of one name could not tell their names apart.`);
    }
  };
  const detail = (teacherId: string, classId: string) => ({ ...mustOwn(teacherId, classId), pupils: pupilsOf(db, classId) });

  app.get('/api/classes', { schema: { response: { 200: ClassList } } }, (request) => classesOf(db, requireTeacher(request).id));

  app.get('/api/classes/:id', { schema: { params: Params, response: { 200: ClassDetail } } }, (request) =>
    detail(requireTeacher(request).id, request.params.id),
  );

  app.post('/api/classes/:id/pupils', { schema: { params: Params, body: PupilAdd, response: { 200: ClassDetail } } }, (request) => {
    const teacher = requireTeacher(request);
    const { id: classId } = mustOwn(teacher.id, request.params.id);
    const { id, name } = request.body;
    const known = findPupil(db, id);
    if (known && known.classId !== classId) throw new CoreError('PUPIL_UNKNOWN', 'This pupil id is in use in another class.');
    if (!known) {
      mustBeFree(classId, name, id);
      insertPupil(db, { id, classId, name });
      onChanged(classId);
    }
    return detail(teacher.id, classId);
  });

  app.post(
    '/api/classes/:id/pupils/:pupilId/rename',
    { schema: { params: PupilParams, body: PupilRename, response: { 200: ClassDetail } } },
    (request) => {
      const teacher = requireTeacher(request);
      const { id: classId } = mustOwn(teacher.id, request.params.id);
      const { pupilId } = request.params;
      mustHold(classId, pupilId);
      mustBeFree(classId, request.body.name, pupilId);
      renamePupil(db, pupilId, request.body.name);
      onChanged(classId);
      return detail(teacher.id, classId);
    },
  );

  app.post('/api/classes/:id/pupils/:pupilId/delete', { schema: { params: PupilParams, response: { 200: ClassDetail } } }, (request) => {
    const teacher = requireTeacher(request);
    const { id: classId } = mustOwn(teacher.id, request.params.id);
    mustHold(classId, request.params.pupilId);
    reallyDelete(store, () => deletePupil(db, request.params.pupilId));
    onChanged(classId);
    return detail(teacher.id, classId);
  });

  app.post('/api/classes/:id/delete', { schema: { params: Params, response: { 204: Type.Null() } } }, (request, reply) => {
    const { id } = mustOwn(requireTeacher(request).id, request.params.id);
    reallyDelete(store, () => deleteClass(db, id));
    onDeleted(id);
    void reply.code(204);
    return null;
  });
};
