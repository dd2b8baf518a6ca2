import { CoreError } from '@zeitpunkt/core/errors';
import { TakeBegin, TakePieces, PARTS, SIZES } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { bytesOf, PieceParams, takesPieces, type ComingTakesOptions } from './pieces.js';
import * as queries from './queries.js';

const Params = Type.Object({ id: Type.String() });
const TakeParams = Type.Object({ id: Type.String(), takeId: Type.String() });

/** How a take comes: begun at its step, piece by piece as it is recorded. */
export const comingTakes: Feature<ComingTakesOptions> = async (app, { store, nowMs, recordings }) => {
  const { db } = store;
  takesPieces(app);

  // Begun again after its answer was lost: it is there already.
  app.post('/api/lessons/:id/takes', { schema: { params: Params, body: TakeBegin, response: { 200: TakePieces } } }, (request) => {
    const lessonId = recordings.mustOwnLesson(request, request.params.id);
    const { id, at, mime } = request.body;
    const known = queries.rowOf(db, id);
    if (known && (known.lessonId !== lessonId || known.beatId !== at.beatId || known.step !== at.step)) {
      throw new CoreError('TAKE_ID_TAKEN', 'This take id is in use already; please record again.');
    }
    if (!known) {
      store.sqlite.transaction(() => {
        queries.touchRecording(db, lessonId, nowMs());
        queries.insertTake(db, lessonId, { id, at, mime });
      })();
    }
    return { pieces: queries.piecesOf(db, id, 'take') };
  });

  app.post(
    '/api/lessons/:id/takes/:takeId/pieces/:number',
    { schema: { params: PieceParams, response: { 200: TakePieces } }, bodyLimit: SIZES.takePiece.bytes },
    (request) => {
      const { id, state } = recordings.mustOwnTake(request, request.params);
      const [number, pieces] = [Number(request.params.number), queries.piecesOf(db, id, 'take')];
      // Sent again, or the whole sound has come meanwhile: nothing to add. One that leaps is told where to go on.
      if (state === 'coming' && number === pieces && pieces < PARTS.takePieces.most) {
        queries.insertPiece(db, id, 'take', number, bytesOf(request));
        return { pieces: pieces + 1 };
      }
      return { pieces };
    },
  );

  app.get('/api/lessons/:id/takes/:takeId/pieces', { schema: { params: TakeParams } }, (request, reply) => {
    const { id, mime } = recordings.mustOwnTake(request, request.params);
    return reply
      .type(mime)
      .header('cache-control', 'no-store')
      .send(queries.cameOf(db, id, 'take'));
  });
};
nameFeatures({ comingTakes });
