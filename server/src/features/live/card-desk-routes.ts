import { CoreError } from '@zeitpunkt/core/errors';
import { CardJoin, CardRead, CardShown, DeskView } from '@zeitpunkt/contract';
import type { Feature } from '../../http/feature.js';
import { newToken, tokenHash } from '../../http/tokens.js';
import { DESK_COOKIE } from '../../sessions/desk-places.js';
import { DEVICE_COOKIE, KNOWN_SECONDS, type DeskRoutesOptions } from './desk-routes.js';
import type { OpenRoom } from '../../sessions/open-room.js';

/** The pupil whose card it is, with the class. */
interface CardOwner {
  readonly id: string;
  readonly name: string;
  readonly classId: string;
  readonly className: string;
}

export interface CardDeskOptions extends DeskRoutesOptions {
  readonly pupilOfCard: (hashOfToken: string) => CardOwner | undefined;
  /** Lessons at own pace that were given to a pupil and are not over. */
  readonly ownLessonsOf: (pupilId: string) => CardRead['lessons'];
  /** An open room of either pace. */
  readonly find: (sessionId: string) => OpenRoom | undefined;
}

/** Coming in by join card: it says who comes, so that nobody waits at the door and a second device takes over from the first. */
export const cardDeskRoutes: Feature<CardDeskOptions> = async (app, { rooms, limits, cookies, pupilOfCard, ownLessonsOf, find }) => {
  const bodyLimit = limits.deskBodyBytes;
  /** A card holds 128 random bits: nobody guesses one, and so whoever has one waits for nobody. @throws CoreError CARD_UNKNOWN */
  const ownerOf = (token: string): CardOwner => {
    const owner = pupilOfCard(tokenHash(token));
    if (owner) return owner;
    throw new CoreError(
      'CARD_UNKNOWN',
      'This card does not open anything any more. Ask your teacher for a new one, or use the four pictures.',
    );
  };

  app.post('/api/desk/card', { schema: { body: CardShown, response: { 200: CardRead } }, bodyLimit }, async (request) => {
    const { id, name, className, classId } = ownerOf(request.body.token);
    const led = rooms.openRoomsOf(classId).map((room) => ({ sessionId: room.id, title: room.title, own: null }));
    return { pupilName: name, className, lessons: [...led, ...ownLessonsOf(id)] };
  });

  app.post('/api/desk/card/join', { schema: { body: CardJoin, response: { 200: DeskView } }, bodyLimit }, async (request, reply) => {
    const { token: cardToken, sessionId, joinId } = request.body;
    const owner = ownerOf(cardToken);
    const room = find(sessionId);
    if (room?.classId !== owner.classId) throw new CoreError('NOT_FOUND', 'This lesson is not open for you any more.');
    const token = newToken();
    const participantId = room.joinByCard(joinId, owner.id, tokenHash(token));
    rooms.tokens.forget((place) => place.participantId === participantId);
    reply.setCookie(DESK_COOKIE, token, { ...cookies, maxAge: room.deskSeconds });
    reply.setCookie(DEVICE_COOKIE, token, { ...cookies, maxAge: KNOWN_SECONDS });
    return room.deskView(participantId);
  });
};
