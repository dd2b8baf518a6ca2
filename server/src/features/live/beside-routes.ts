import { BesideJoin, DeskView, RoomFound } from '@zeitpunkt/contract';
import { nameFeatures, type Feature } from '../../http/feature.js';
import type { Limits } from '../../http/limits.js';
import { newToken, tokenHash, type Cookies } from '../../http/tokens.js';
import { BESIDE_COOKIE, DESK_COOKIE, endedView, type FindDesk } from '../../sessions/desk-places.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';
import { DEVICE_SECONDS, deskTools } from './desk-tools.js';

interface BesideOptions {
  readonly rooms: RoomDirectory;
  readonly findDesk: FindDesk;
  readonly limits: Limits;
  readonly cookies: Cookies;
}

/** Two pupils on one device: the other comes in beside, and they take turns. */
export const besideRoutes: Feature<BesideOptions> = async (app, { rooms, findDesk, limits, cookies }) => {
  const bodyLimit = limits.deskBodyBytes;
  const { keep, inRoom, foundOf } = deskTools({ rooms, findDesk, cookies });

  app.get('/api/desk/beside', { schema: { response: { 200: RoomFound } } }, (request) => foundOf(inRoom(request).room));

  app.post('/api/desk/beside/join', { schema: { body: BesideJoin, response: { 200: DeskView } }, bodyLimit }, (request, reply) => {
    const { room } = inRoom(request);
    const { joinId, pupilId } = request.body;
    const token = newToken();
    room.join({ participantId: joinId, pupilId, tokenHash: tokenHash(token) });
    rooms.tokens.forget((place) => place.participantId === joinId);
    keep(reply, BESIDE_COOKIE, request.cookies[DESK_COOKIE]!, room.deskSeconds);
    keep(reply, DESK_COOKIE, token, room.deskSeconds);
    return room.deskView(joinId);
  });

  app.post('/api/desk/swap', { schema: { response: { 200: DeskView } } }, (request, reply) => {
    const { [DESK_COOKIE]: mine, [BESIDE_COOKIE]: other } = request.cookies;
    const place = findDesk(other);
    const seconds = place.room?.deskSeconds ?? DEVICE_SECONDS;
    keep(reply, DESK_COOKIE, other!, seconds);
    if (mine) keep(reply, BESIDE_COOKIE, mine, seconds);
    return place.room ? place.room.deskView(place.participantId) : endedView(place.ended);
  });
};
nameFeatures({ besideRoutes });
