import { CoreError } from '@zeitpunkt/core/errors';
import { DeskView, OwnGo, OwnPaceChange, OwnPaceDetail, OwnPaceLine, OwnPaceProgress, OwnPaceStart, SIZES } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import type { Limits } from '../../http/limits.js';
import type { RequireTeacher } from '../auth/gives.js';
import type { SchoolClock } from '../clock/gives.js';
import { pinForTeaching } from '../lessons/gives.js';
import { DESK_COOKIE, type FindDesk } from '../../sessions/desk-places.js';
import type { OwnRooms } from './own-rooms.js';

export interface OwnPaceOptions {
  readonly store: Store;
  readonly own: OwnRooms;
  readonly clock: SchoolClock;
  readonly findDesk: FindDesk;
  readonly requireTeacher: RequireTeacher;
  readonly limits: Limits;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });
/** Lessons whose last day is over are looked for so often, in milliseconds. */
const OVER_EVERY_MS = 10 * 60_000;

/** Lessons at own pace: given out, looked on at, and gone through by pupils. */
export const ownPacePlugin: Feature<OwnPaceOptions> = async (app, { store, own, clock, findDesk, requireTeacher, limits, nowMs }) => {
  const endOver = () => {
    try {
      // By a clock that leapt, lessons that are open would be over.
      if (clock.leap() === null) own.endOver();
    } catch (error) {
      app.log.error({ err: error }, 'lessons that are over could not be ended; it is tried again later');
    }
  };
  app.addHook('onReady', async () => endOver());
  const timer = setInterval(endOver, OVER_EVERY_MS).unref();
  app.addHook('onClose', async () => clearInterval(timer));

  app.post(
    '/api/own-pace',
    { schema: { body: OwnPaceStart, response: { 200: OwnPaceDetail } }, bodyLimit: SIZES.pupilIds.bytes },
    (request) => {
      const teacher = requireTeacher(request);
      return own.give(request.body, teacher.id, pinForTeaching(store.db, teacher.id, request.body, nowMs()));
    },
  );

  app.get('/api/own-pace/:id', { schema: { params: Params, response: { 200: OwnPaceDetail } } }, (request) =>
    own.detail(request.params.id, requireTeacher(request).id),
  );

  app.get('/api/own-pace/:id/progress', { schema: { params: Params, response: { 200: OwnPaceProgress } } }, (request) =>
    own.progress(request.params.id, requireTeacher(request).id),
  );

  app.post('/api/own-pace/:id/change', { schema: { params: Params, body: OwnPaceChange, response: { 200: OwnPaceDetail } } }, (request) =>
    own.change(request.params.id, requireTeacher(request).id, request.body),
  );

  app.post('/api/own-pace/:id/line', { schema: { params: Params, body: OwnPaceLine, response: { 200: OwnPaceDetail } } }, (request) =>
    own.write(request.params.id, requireTeacher(request).id, request.body.pupilId, request.body.line.trim()),
  );

  app.post(
    '/api/own-pace/:id/places/:pupilId/free',
    { schema: { params: Type.Object({ id: Type.String(), pupilId: Type.String() }), response: { 200: OwnPaceDetail } } },
    (request) => own.free(request.params.id, requireTeacher(request).id, request.params.pupilId),
  );

  app.post('/api/own-pace/:id/end', { schema: { params: Params, response: { 200: OwnPaceDetail } } }, (request) =>
    own.end(request.params.id, requireTeacher(request).id),
  );

  app.post(
    '/api/desk/own/go',
    { schema: { body: OwnGo, response: { 200: DeskView } }, bodyLimit: limits.deskBodyBytes },
    async (request) => {
      const place = findDesk(request.cookies[DESK_COOKIE]);
      const room = place.room && own.find(place.room.id);
      if (!place.room || !room) throw new CoreError('ROOM_NOT_RUNNING', 'This lesson is over.');
      await room.go(place.participantId, request.body.to);
      return room.deskView(place.participantId);
    },
  );
};
