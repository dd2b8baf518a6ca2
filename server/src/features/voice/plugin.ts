import { CoreError } from '@zeitpunkt/core/errors';
import type { Take } from '@zeitpunkt/core/voice/take';
import { CuesChange, RecordingDetail, RecordingKeep, TakeBegin, TakePieces, TakeSchema } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { reallyDelete, type Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { type Events, listenTo } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/gives.js';
import { ownLesson } from '../lessons/gives.js';
import { DESK_COOKIE, type FindDesk } from '../../sessions/desk-places.js';
import { isSound } from './is-sound.js';
import * as queries from './queries.js';

export interface VoiceOptions {
  readonly store: Store;
  readonly events: Events;
  readonly findDesk: FindDesk;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

/** A piece is about a second of speech; where many waited for the line, they still come one by one. */
const PIECE_BYTES = 512 * 1024;
/** Half an hour of the best that a browser records. */
const SOUND_BYTES = 40 * 1024 * 1024;
/** What stands at a step in all its pauses and captions, for half an hour. */
const TAKE_BODY_BYTES = 512 * 1024;
/** Pieces of a take: half an hour in seconds, and then some. */
const MOST_PIECES = 4000;

const Params = Type.Object({ id: Type.String() });
const TakeParams = Type.Object({ id: Type.String(), takeId: Type.String() });
/** What kind of file the whole sound is, and how long in bytes. */
const SoundWhole = Type.Object({ mime: TakeSchema.properties.mime, bytes: Type.String({ pattern: '^[1-9][0-9]{0,8}$' }) });
const PieceParams = Type.Object({ id: Type.String(), takeId: Type.String(), number: Type.String({ pattern: '^[0-9]{1,4}$' }) });

/** The recording of a lesson: takes come piece by piece, are kept by their steps, heard at own pace, and deleted for good. */
export const voicePlugin: Feature<VoiceOptions> = async (app, { store, events, findDesk, requireTeacher, nowMs }) => {
  const { db } = store;
  listenTo(events, { tidyUp: () => deleteOldRecordings(store, events, nowMs()) });
  app.addContentTypeParser('application/octet-stream', { parseAs: 'buffer' }, (_request, body, done) => done(null, body));

  const mustOwnLesson = (request: FastifyRequest, id: string): string => {
    const teacher = requireTeacher(request);
    if (!ownLesson(db, teacher.id, id)) throw new CoreError('NOT_FOUND', 'There is no such lesson among yours.');
    return id;
  };
  const mustOwnTake = (request: FastifyRequest, { id, takeId }: { readonly id: string; readonly takeId: string }) => {
    const lessonId = mustOwnLesson(request, id);
    const row = queries.rowOf(db, takeId);
    if (row?.lessonId !== lessonId) throw new CoreError('TAKE_UNKNOWN', 'This recording has no such take any more.');
    return row;
  };
  const detail = (lessonId: string): RecordingDetail => {
    const kept = queries.recordingOf(db, lessonId);
    const rows = queries.rowsOf(db, lessonId);
    const cutOff = rows.flatMap(({ id, beatId, step, state, mime }) => {
      const pieces = state === 'coming' ? queries.piecesOf(db, id, 'take') : 0;
      return pieces > 0 ? [{ id, at: { beatId, step }, mime, pieces }] : [];
    });
    return {
      takes: rows.flatMap((row) => (row.state === 'current' ? [queries.takeOf(row)] : [])),
      before: rows.flatMap(({ state, beatId, step }) => (state === 'before' ? [{ beatId, step }] : [])),
      cutOff,
      keepDays: kept?.keepDays ?? queries.USUAL_KEEP_DAYS,
      deletesAtMs: kept ? queries.deletesAtMs(kept) : null,
    };
  };
  /** Pupils who hear the lesson hear what has changed. */
  const changed = (lessonId: string): RecordingDetail => {
    events.emit('takesChanged', { lessonId });
    return detail(lessonId);
  };
  const sendSound = (reply: FastifyReply, takeId: string) => {
    const kept = queries.soundOf(db, takeId);
    if (!kept) throw new CoreError('TAKE_UNKNOWN', 'The sound of this take has not come whole.');
    return reply.type(kept.mime).header('cache-control', 'no-store').send(kept.sound);
  };

  app.get('/api/lessons/:id/recording', { schema: { params: Params, response: { 200: RecordingDetail } } }, (request) =>
    detail(mustOwnLesson(request, request.params.id)),
  );

  // Begun again after its answer was lost: it is there already.
  app.post('/api/lessons/:id/takes', { schema: { params: Params, body: TakeBegin, response: { 200: TakePieces } } }, (request) => {
    const lessonId = mustOwnLesson(request, request.params.id);
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
      const { id, state } = mustOwnTake(request, request.params);
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
    const { id, mime } = mustOwnTake(request, request.params);
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
      const { id } = mustOwnTake(request, request.params);
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

  // Its sound is there: it becomes the take of its step. Sent again it stays what it is.
  app.post(
    '/api/lessons/:id/takes/:takeId',
    { schema: { params: TakeParams, body: TakeSchema, response: { 200: RecordingDetail } }, bodyLimit: TAKE_BODY_BYTES },
    (request) => {
      const row = mustOwnTake(request, request.params);
      const made = stored.take(request.body, 'this step');
      if (made.id !== row.id || made.at.beatId !== row.beatId || made.at.step !== row.step) {
        throw new CoreError('TAKE_ID_TAKEN', 'This take was begun for another step.');
      }
      if (!queries.hasSound(db, row.id)) throw new CoreError('TAKE_UNKNOWN', 'The sound of this take has not come whole.');
      mustBeInOrder(made);
      if (row.state === 'coming') {
        store.sqlite.transaction(() => {
          queries.touchRecording(db, row.lessonId, nowMs());
          queries.makeCurrent(db, row.lessonId, made);
        })();
      }
      return changed(row.lessonId);
    },
  );

  app.post(
    '/api/lessons/:id/takes/:takeId/cues',
    { schema: { params: TakeParams, body: CuesChange, response: { 200: RecordingDetail } }, bodyLimit: TAKE_BODY_BYTES },
    (request) => {
      const row = mustOwnTake(request, request.params);
      if (row.state === 'coming') throw new CoreError('TAKE_UNKNOWN', 'The sound of this take has not come whole.');
      const made = { ...queries.takeOf(row), ...request.body };
      mustBeInOrder(made);
      queries.writeDocument(db, made, row.state);
      return changed(row.lessonId);
    },
  );

  app.post('/api/lessons/:id/takes/:takeId/before', { schema: { params: TakeParams, response: { 200: RecordingDetail } } }, (request) => {
    const { lessonId, beatId, step } = mustOwnTake(request, request.params);
    if (!store.sqlite.transaction(() => queries.bringBack(db, lessonId, { beatId, step }))()) {
      throw new CoreError('TAKE_UNKNOWN', 'There is no take before this one any more.');
    }
    return changed(lessonId);
  });

  app.post('/api/lessons/:id/takes/:takeId/delete', { schema: { params: TakeParams, response: { 200: RecordingDetail } } }, (request) => {
    const { id, lessonId, beatId, step, state } = mustOwnTake(request, request.params);
    reallyDelete(store, () => {
      queries.deleteTake(db, id);
      // The one before it is that of its step again: nothing is kept that nobody sees.
      if (state === 'current') queries.bringBack(db, lessonId, { beatId, step });
    });
    return changed(lessonId);
  });

  app.get('/api/lessons/:id/takes/:takeId/sound', { schema: { params: TakeParams } }, (request, reply) =>
    sendSound(reply, mustOwnTake(request, request.params).id),
  );

  app.post(
    '/api/lessons/:id/recording/keep',
    { schema: { params: Params, body: RecordingKeep, response: { 200: RecordingDetail } } },
    (request) => {
      const lessonId = mustOwnLesson(request, request.params.id);
      queries.setKeepDays(db, lessonId, request.body.keepDays);
      return detail(lessonId);
    },
  );

  app.post('/api/lessons/:id/recording/delete', { schema: { params: Params, response: { 200: RecordingDetail } } }, (request) => {
    const lessonId = mustOwnLesson(request, request.params.id);
    reallyDelete(store, () => queries.deleteRecording(db, lessonId));
    return changed(lessonId);
  });

  // A pupil hears what belongs to where the pupil stands, and nothing of what comes behind a question.
  app.get('/api/desk/takes/:id', { schema: { params: Params } }, (request, reply) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    if (!place.room?.mayHear(place.participantId, request.params.id)) {
      throw new CoreError('TAKE_UNKNOWN', 'There is nothing to hear here.');
    }
    return sendSound(reply, request.params.id);
  });
};

/** Deletes for good the recordings that are kept no longer. @returns how many */
export function deleteOldRecordings(store: Store, events: Events, nowMs: number): number {
  const due = queries.dueRecordings(store.db, nowMs);
  if (due.length === 0) return 0;
  reallyDelete(store, () => due.forEach((lessonId) => queries.deleteRecording(store.db, lessonId)));
  for (const lessonId of due) events.emit('takesChanged', { lessonId });
  return due.length;
}

function bytesOf(request: FastifyRequest): Buffer {
  const { body } = request;
  if (!Buffer.isBuffer(body) || body.length === 0) throw new CoreError('TAKE_SOUND', 'The sound that was sent is empty.');
  return body;
}

/** Captions follow one another within their take. @throws CoreError TAKE_UNREADABLE with the place */
function mustBeInOrder({ cues, durationMs }: Take): void {
  cues.forEach(({ fromMs, toMs }, index) => {
    const before = cues[index - 1]?.toMs ?? 0;
    if (fromMs >= before && toMs > fromMs && toMs <= durationMs) return;
    throw new CoreError('TAKE_UNREADABLE', `Caption ${index + 1} must begin after the one before and end within the take.`, {
      number: index + 1,
    });
  });
}
