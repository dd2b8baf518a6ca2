import { CoreError } from '@zeitpunkt/core/errors';
import { ClassAdd, ClassChange, ClassDetail, ClassList } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { listenTo } from '../../events.js';
import { nameFeatures, type Feature } from '../../http/feature.js';
import type { ClassesOptions } from './options.js';
import { cardRoutes } from './card-routes.js';
import { classDataRoutes } from './class-data-routes.js';
import { pupilDataRoutes } from './pupil-data-routes.js';
import { pupilRoutes } from './pupil-routes.js';
import { changeClass, classPupils, classesOf, insertClass, mustOwnClass, ownerOf } from './queries.js';
import { deleteWhatIsOld } from './retention.js';
import { rosterRoutes } from './roster-routes.js';

const Params = Type.Object({ id: Type.String() });
nameFeatures({ pupilRoutes, pupilDataRoutes, classDataRoutes, rosterRoutes, cardRoutes });

/** A teacher's classes: made, named, kept for a time; their pupils, lists, cards and data in routes of their own. */
export const classesPlugin: Feature<ClassesOptions> = async (app, options) => {
  const { store, clock, events, requireTeacher, nowMs } = options;
  const { db } = store;
  listenTo(events, {
    teacherAdded: ({ className: name, ...teacher }) => insertClass(db, { ...teacher, name, createdAtMs: nowMs() }),
    tidyUp: () => deleteWhatIsOld(store, nowMs()),
  });
  const detail = (teacherId: string, classId: string): ClassDetail => {
    const { id, name, keepDays } = mustOwnClass(db, teacherId, classId);
    return { id, name, keepDays, pupils: classPupils(db, classId) };
  };
  const shared = { ...options, detail };
  await app.register(pupilRoutes, shared);
  await app.register(pupilDataRoutes, shared);
  await app.register(classDataRoutes, shared);
  await app.register(rosterRoutes, shared);
  await app.register(cardRoutes, shared);

  app.get('/api/classes', { schema: { response: { 200: ClassList } } }, (request) => classesOf(db, requireTeacher(request).id));

  app.post('/api/classes', { schema: { body: ClassAdd, response: { 200: ClassDetail } } }, (request) => {
    const teacher = requireTeacher(request);
    const { id, name } = request.body;
    const owner = ownerOf(db, id);
    if (owner !== undefined && owner !== teacher.id)
      throw new CoreError('CLASS_ID_TAKEN', 'This class id is in use already; please try again.');
    if (owner === undefined) insertClass(db, { id, teacherId: teacher.id, name, pupilNames: [], createdAtMs: nowMs() });
    return detail(teacher.id, id);
  });

  app.get('/api/classes/:id', { schema: { params: Params, response: { 200: ClassDetail } } }, (request) =>
    detail(requireTeacher(request).id, request.params.id),
  );

  app.post('/api/classes/:id/change', { schema: { params: Params, body: ClassChange, response: { 200: ClassDetail } } }, (request) => {
    const teacher = requireTeacher(request);
    const { id } = mustOwnClass(db, teacher.id, request.params.id);
    changeClass(db, id, request.body);
    if (request.body.keepDays !== undefined && clock.look()) deleteWhatIsOld(store, nowMs());
    return detail(teacher.id, id);
  });
};
