import { TakePieces, TakeSchema, SIZES } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { isSound } from './is-sound.js';
import { bytesOf, PieceParams, takesPieces, type ComingTakesOptions } from './pieces.js';
import * as queries from './queries.js';

/** What kind of file the whole sound is, and how long in bytes. */
const SoundWhole = Type.Object({ mime: TakeSchema.properties.mime, bytes: Type.String({ pattern: '^[1-9][0-9]{0,8}$' }) });

/** How the whole sound of a take comes when it is cut: piece by piece, and looked at once it is there. */
export const comingSound: Feature<Omit<ComingTakesOptions, 'nowMs'>> = async (app, { store, recordings }) => {
  const { db } = store;
  takesPieces(app);

  // In pieces, too: a long take has to come through a slow line. The first one begins anew; the last one makes it whole.
  app.post(
    '/api/lessons/:id/takes/:takeId/sound/:number',
    { schema: { params: PieceParams, querystring: SoundWhole, response: { 200: TakePieces } }, bodyLimit: SIZES.takePiece.bytes },
    (request) => {
      const { id } = recordings.mustOwnTake(request, request.params);
      const { mime } = request.query;
      const [number, bytes] = [Number(request.params.number), Number(request.query.bytes)];
      if (bytes > SIZES.takeSound.bytes)
        throw new CoreError('TAKE_SOUND', `The sound of a take may have ${SIZES.takeSound.bytes / 2 ** 20} MB at most.`, {
          megabytes: SIZES.takeSound.bytes / 2 ** 20,
        });
      const piece = bytesOf(request);
      if (number === 0) queries.forgetSoundPieces(db, id);
      const pieces = queries.piecesOf(db, id, 'sound');
      if (number !== pieces) return { pieces };
      queries.insertPiece(db, id, 'sound', number, piece);
      if (queries.bytesCome(db, id, 'sound') < bytes) return { pieces: pieces + 1 };
      const came = queries.cameOf(db, id, 'sound');
      if (came.length > bytes || !isSound(came, mime)) {
        queries.forgetSoundPieces(db, id);
        throw new CoreError('TAKE_SOUND', `What was sent is no whole file of ${mime}.`, { mime });
      }
      store.sqlite.transaction(() => queries.setSound(db, id, came, mime))();
      return { pieces: pieces + 1 };
    },
  );
};
nameFeatures({ comingSound });
