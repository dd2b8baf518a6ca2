import { CoreError } from '@zeitpunkt/core/errors';
import { TakeBegin, TakePieces, TakeSchema } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyRequest } from 'fastify';
import type { Store } from '../../db/connection.js';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { isSound } from './is-sound.js';
import type { OwnRecordings } from './own-recordings.js';
import * as queries from './queries.js';

interface ComingTakesOptions {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly recordings: OwnRecordings;
}

/** A piece is about a second of speech; where many waited for the line, they still come one by one. */
const PIECE_BYTES = 512 * 1024;
/** Half an hour of the best that a browser records. */
const SOUND_BYTES = 40 * 1024 * 1024;
/** Pieces of a take: half an hour in seconds, and then some. */
const MOST_PIECES = 4000;

const Params = Type.Object({ id: Type.String() });
const TakeParams = Type.Object({ id: Type.String(), takeId: Type.String() });
/** What kind of file the whole sound is, and how long in bytes. */
const SoundWhole = Type.Object({ mime: TakeSchema.properties.mime, bytes: Type.String({ pattern: '^[1-9][0-9]{0,8}$' }) });
const PieceParams = Type.Object({ id: Type.String(), takeId: Type.String(), number: Type.String({ pattern: '^[0-9]{1,4}$' }) });

/** How a take comes: begun at its step, piece by piece as it is recorded, and its whole sound piece by piece when it is cut. */
export const comingTakes: Feature<ComingTakesOptions> = async (app, { store, nowMs, recordings }) => {
  const { db } = store;
  app.addContentTypeParser('application/octet-stream', { parseAs: 'buffer' }, (_request, body, done) => done(null, body));

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
    { schema: { params: PieceParams, response: { 200: TakePieces } }, bodyLimit: PIECE_BYTES },
    (request) => {
      const { id, state } = recordings.mustOwnTake(request, request.params);
      const [number, pieces] = [Number(request.params.number), queries.piecesOf(db, id, 'take')];
      // Sent again, or the whole sound has come meanwhile: nothing to add. One that leaps is told where to go on.
      if (state === 'coming' && number === pieces && pieces < MOST_PIECES) {
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

  // In pieces, too: a long take has to come through a slow line. The first one begins anew; the last one makes it whole.
  app.post(
    '/api/lessons/:id/takes/:takeId/sound/:number',
    { schema: { params: PieceParams, querystring: SoundWhole, response: { 200: TakePieces } }, bodyLimit: PIECE_BYTES },
    (request) => {
      const { id } = recordings.mustOwnTake(request, request.params);
      const { mime } = request.query;
      const [number, bytes] = [Number(request.params.number), Number(request.query.bytes)];
      if (bytes > SOUND_BYTES)
        throw new CoreError('TAKE_SOUND', `The sound of a take may have ${SOUND_BYTES / 2 ** 20} MB at most.`, {
          megabytes: SOUND_BYTES / 2 ** 20,
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
nameFeatures({ comingTakes });

function bytesOf(request: FastifyRequest): Buffer {
  const { body } = request;
  if (!Buffer.isBuffer(body) || body.length === 0) throw new CoreError('TAKE_SOUND', 'The sound that was sent is empty.');
  return body;
}
