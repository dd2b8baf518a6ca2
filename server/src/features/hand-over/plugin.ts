import { HandOver, HandOverCheck } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { noteAct } from '../acts/gives.js';
import { mustOwnClass } from '../classes/gives.js';
import { closingRoutes } from './closing-routes.js';
import { lessonsOfClass } from './lessons-of-class.js';
import { moveClass } from './move-class.js';
import type { HandOverOptions } from './options.js';
import { colleague, taughtIn } from './queries.js';

const Params = Type.Object({ id: Type.String() });
nameFeatures({ closingRoutes });

/** A class goes to a colleague: with its pupils and their cards, its plan, its lessons and all answers. */
export const handOverPlugin: Feature<HandOverOptions> = async (app, options) => {
  const { store, rooms, events, requireTeacher, nowMs } = options;
  const { db } = store;
  await app.register(closingRoutes, options);

  app.get('/api/classes/:id/hand-over', { schema: { params: Params, response: { 200: HandOverCheck } } }, (request) => {
    const teacher = requireTeacher(request);
    const { id } = mustOwnClass(db, teacher.id, request.params.id);
    const { own, shared } = lessonsOfClass(db, id, teacher.id);
    return {
      lessons: own.length + shared.length,
      copied: shared.length,
      taught: taughtIn(db, id),
      running: rooms.isOpenFor(id),
    };
  });

  app.post(
    '/api/classes/:id/hand-over',
    { schema: { params: Params, body: HandOver, response: { 204: Type.Null() } } },
    (request, reply) => {
      const teacher = requireTeacher(request);
      const { id, name } = mustOwnClass(db, teacher.id, request.params.id);
      const to = colleague(db, teacher.id, request.body.to);
      if (rooms.isOpenFor(id)) throw new CoreError('CLASS_RUNNING', `A lesson with ${name} is open just now. End it first.`, { name });
      store.sqlite
        .transaction(() => {
          moveClass(db, id, teacher.id, to.id);
          noteAct(db, { act: 'class-handed-over', atMs: nowMs(), teacherId: teacher.id, about: `${name} → ${to.name}` });
          events.emit('classHandedOver', { classId: id });
        })
        .immediate();
      void reply.code(204);
      return null;
    },
  );
};
