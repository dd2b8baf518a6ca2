import { CoreError } from '@zeitpunkt/core/errors';
import { CardsMade, CardsWish, ClassDetail, SIZES } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Feature } from '../../http/feature.js';
import { newCardToken, tokenHash } from '../../http/tokens.js';
import type { ClassRoutesOptions } from './options.js';
import { classPupils, mustOwnClass, putCard, record, removeCards } from './queries.js';

const Params = Type.Object({ id: Type.String() });

/** Join cards: a pupil's own way in. A card made anew replaces the one before. */
export const cardRoutes: Feature<ClassRoutesOptions> = async (app, { store, requireTeacher, nowMs, detail }) => {
  const { db } = store;
  /** Pupils of a class by their ids. @throws CoreError PUPIL_UNKNOWN where one is not in it */
  const pupilsIn = (classId: string, pupilIds: readonly string[]) => {
    const byId = new Map(classPupils(db, classId).map((pupil) => [pupil.id, pupil]));
    return [...new Set(pupilIds)].map((pupilId) => {
      const pupil = byId.get(pupilId);
      if (!pupil) throw new CoreError('PUPIL_UNKNOWN', 'This class has no such pupil.');
      return pupil;
    });
  };

  app.post(
    '/api/classes/:id/cards',
    { schema: { params: Params, body: CardsWish, response: { 200: CardsMade } }, bodyLimit: SIZES.pupilIds.bytes },
    (request) => {
      const { id } = mustOwnClass(db, requireTeacher(request).id, request.params.id);
      const pupils = pupilsIn(id, request.body.pupilIds);
      const madeAtMs = nowMs();
      const cards = pupils.map(({ id: pupilId, name }) => ({ pupilId, name, token: newCardToken() }));
      store.sqlite.transaction(() => {
        for (const { pupilId, token } of cards) putCard(db, { pupilId, tokenHash: tokenHash(token), madeAtMs });
        record(db, { classId: id, act: 'cards-made', count: cards.length, atMs: madeAtMs });
      })();
      return { cards };
    },
  );

  app.post(
    '/api/classes/:id/cards/revoke',
    { schema: { params: Params, body: CardsWish, response: { 200: ClassDetail } }, bodyLimit: SIZES.pupilIds.bytes },
    (request) => {
      const teacher = requireTeacher(request);
      const { id } = mustOwnClass(db, teacher.id, request.params.id);
      const pupils = pupilsIn(id, request.body.pupilIds);
      store.sqlite.transaction(() => {
        const count = removeCards(
          db,
          pupils.map(({ id: pupilId }) => pupilId),
        );
        record(db, { classId: id, act: 'cards-revoked', count, atMs: nowMs() });
      })();
      return detail(teacher.id, id);
    },
  );
};
