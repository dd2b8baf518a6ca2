import { CoreError } from '@zeitpunkt/core/errors';
import { CardJoin, CardRead, CardShown, DeskView } from '@zeitpunkt/contract';
import type { Feature } from '../../http/feature.js';
import { newToken, tokenHash } from '../../http/tokens.js';
import { ClassLists } from '../classes/gives.js';
import { DESK_COOKIE, type FindRoom } from '../../sessions/desk-places.js';
import type { ComingInOptions } from './coming-in-routes.js';
import { DEVICE_COOKIE, deskTools, KNOWN_SECONDS } from './desk-tools.js';

/** The pupil whose card it is, with the class. */
interface CardOwner {
  readonly id: string;
  readonly name: string;
  readonly classId: string;
  readonly className: string;
}

export interface CardDeskOptions extends Pick<ComingInOptions, 'store' | 'events' | 'rooms' | 'own' | 'findDesk' | 'limits' | 'cookies'> {
  readonly findRoom: FindRoom;
}

/** Coming in by join card: it says who comes, so that nobody waits at the door and a second device takes over from the first. */
export const cardDeskRoutes: Feature<CardDeskOptions> = async (app, { store, events, rooms, own, findDesk, limits, cookies, findRoom }) => {
  const bodyLimit = limits.deskBodyBytes;
  const lists = new ClassLists(store, events);
  const { keep } = deskTools({ rooms, findDesk, cookies });
  /** A card holds 128 random bits: nobody guesses one, and so whoever has one waits for nobody. @throws CoreError CARD_UNKNOWN */
  const ownerOf = (token: string): CardOwner => {
    const owner = lists.ofCard(tokenHash(token));
    if (owner) return owner;
    throw new CoreError(
      'CARD_UNKNOWN',
      'This card does not open anything any more. Ask your teacher for a new one, or use the four pictures.',
    );
  };

  app.post('/api/desk/card', { schema: { body: CardShown, response: { 200: CardRead } }, bodyLimit }, async (request) => {
    const { id, name, className, classId } = ownerOf(request.body.token);
    const led = rooms.openRoomsOf(classId).map((room) => ({ sessionId: room.id, title: room.title, own: null }));
    return { pupilName: name, className, lessons: [...led, ...own.lessonsOf(id)] };
  });

  app.post('/api/desk/card/join', { schema: { body: CardJoin, response: { 200: DeskView } }, bodyLimit }, async (request, reply) => {
    const { token: cardToken, sessionId, joinId } = request.body;
    const owner = ownerOf(cardToken);
    const room = findRoom(sessionId);
    if (room?.classId !== owner.classId) throw new CoreError('NOT_FOUND', 'This lesson is not open for you any more.');
    const token = newToken();
    const participantId = room.joinByCard(joinId, owner.id, tokenHash(token));
    rooms.tokens.forget((place) => place.participantId === participantId);
    keep(reply, DESK_COOKIE, token, room.deskSeconds);
    keep(reply, DEVICE_COOKIE, token, KNOWN_SECONDS);
    return room.deskView(participantId);
  });
};
