import { DeskView, NextLesson, ReadyPost, ShownPost } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { BESIDE_COOKIE, DESK_COOKIE, endedView } from '../../sessions/desk-places.js';
import { besideRoutes } from './beside-routes.js';
import { comingInRoutes, type ComingInOptions } from './coming-in-routes.js';
import { DEVICE_SECONDS, deskTools } from './desk-tools.js';

nameFeatures({ comingInRoutes });

/** The pupil's desk: see it, say that one is ready, show a dial, leave; how one comes in has routes of its own. */
export const deskRoutes: Feature<ComingInOptions> = async (app, options) => {
  const { rooms, findDesk, limits, cookies } = options;
  const bodyLimit = limits.deskBodyBytes;
  const { keep, inRoom } = deskTools({ rooms, findDesk, cookies });
  await app.register(besideRoutes, { rooms, findDesk, limits, cookies });
  await app.register(comingInRoutes, options);

  app.get('/api/desk', { schema: { response: { 200: DeskView } } }, (request) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    return place.room ? place.room.deskView(place.participantId) : endedView(place.ended);
  });

  // A desk that was left open after a lesson asks whether the next one of its class is there: coming in is by key all the same.
  app.get('/api/desk/next', { schema: { response: { 200: NextLesson } } }, (request) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    return { open: place.room === null && rooms.isOpenFor(place.ended.classId) };
  });

  app.post('/api/desk/ready', { schema: { body: ReadyPost, response: { 204: Type.Null() } }, bodyLimit }, (request, reply) => {
    const { room, participantId } = inRoom(request);
    room.sayReady(participantId, request.body.pulse, request.body.ready);
    void reply.code(204);
    return null;
  });

  app.post('/api/desk/shown', { schema: { body: ShownPost, response: { 204: Type.Null() } }, bodyLimit }, (request, reply) => {
    const { room, participantId } = inRoom(request);
    room.showDial(participantId, request.body.pose);
    void reply.code(204);
    return null;
  });

  app.post('/api/desk/leave', { schema: { response: { 204: Type.Null() } } }, (request, reply) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    if (place.room) place.room.release(place.participantId);
    // Whoever shared the device stays.
    const beside = request.cookies[BESIDE_COOKIE];
    if (beside) keep(reply, DESK_COOKIE, beside, place.room?.deskSeconds ?? DEVICE_SECONDS);
    else void reply.clearCookie(DESK_COOKIE, cookies);
    void reply.clearCookie(BESIDE_COOKIE, cookies).code(204);
    return null;
  });
};
