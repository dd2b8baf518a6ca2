import { CoreError } from '@zeitpunkt/core/errors';
import type { Take } from '@zeitpunkt/core/voice/take';
import { CuesChange, RecordingDetail, RecordingKeep, TakeSchema } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyReply } from 'fastify';
import { reallyDelete, type Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { type Events, listenTo } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/gives.js';
import { DESK_COOKIE, type FindDesk } from '../../sessions/desk-places.js';
import { comingTakes } from './coming-takes.js';
import { OwnRecordings } from './own-recordings.js';
import * as queries from './queries.js';

export interface VoiceOptions {
  readonly store: Store;
  readonly events: Events;
  readonly findDesk: FindDesk;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

/** What stands at a step in all its pauses and captions, for half an hour. */
const TAKE_BODY_BYTES = 512 * 1024;
const Params = Type.Object({ id: Type.String() });
const TakeParams = Type.Object({ id: Type.String(), takeId: Type.String() });
/** The recording of a lesson: takes come piece by piece, are kept by their steps, heard at own pace, and deleted for good. */
export const voicePlugin: Feature<VoiceOptions> = async (app, { store, events, findDesk, requireTeacher, nowMs }) => {
  const { db } = store;
  listenTo(events, { tidyUp: () => deleteOldRecordings(store, events, nowMs()) });

  const recordings = new OwnRecordings(store, events, requireTeacher);
  await app.register(comingTakes, { store, nowMs, recordings });
  const sendSound = (reply: FastifyReply, takeId: string) => {
    const kept = queries.soundOf(db, takeId);
    if (!kept) throw new CoreError('TAKE_UNKNOWN', 'The sound of this take has not come whole.');
    return reply.type(kept.mime).header('cache-control', 'no-store').send(kept.sound);
  };

  app.get('/api/lessons/:id/recording', { schema: { params: Params, response: { 200: RecordingDetail } } }, (request) =>
    recordings.detail(recordings.mustOwnLesson(request, request.params.id)),
  );

  // Its sound is there: it becomes the take of its step. Sent again it stays what it is.
  app.post(
    '/api/lessons/:id/takes/:takeId',
    { schema: { params: TakeParams, body: TakeSchema, response: { 200: RecordingDetail } }, bodyLimit: TAKE_BODY_BYTES },
    (request) => {
      const row = recordings.mustOwnTake(request, request.params);
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
      return recordings.changed(row.lessonId);
    },
  );

  app.post(
    '/api/lessons/:id/takes/:takeId/cues',
    { schema: { params: TakeParams, body: CuesChange, response: { 200: RecordingDetail } }, bodyLimit: TAKE_BODY_BYTES },
    (request) => {
      const row = recordings.mustOwnTake(request, request.params);
      if (row.state === 'coming') throw new CoreError('TAKE_UNKNOWN', 'The sound of this take has not come whole.');
      const made = { ...queries.takeOf(row), ...request.body };
      mustBeInOrder(made);
      queries.writeDocument(db, made, row.state);
      return recordings.changed(row.lessonId);
    },
  );

  app.post('/api/lessons/:id/takes/:takeId/before', { schema: { params: TakeParams, response: { 200: RecordingDetail } } }, (request) => {
    const { lessonId, beatId, step } = recordings.mustOwnTake(request, request.params);
    if (!store.sqlite.transaction(() => queries.bringBack(db, lessonId, { beatId, step }))()) {
      throw new CoreError('TAKE_UNKNOWN', 'There is no take before this one any more.');
    }
    return recordings.changed(lessonId);
  });

  app.post('/api/lessons/:id/takes/:takeId/delete', { schema: { params: TakeParams, response: { 200: RecordingDetail } } }, (request) => {
    const { id, lessonId, beatId, step, state } = recordings.mustOwnTake(request, request.params);
    reallyDelete(store, () => {
      queries.deleteTake(db, id);
      // The one before it is that of its step again: nothing is kept that nobody sees.
      if (state === 'current') queries.bringBack(db, lessonId, { beatId, step });
    });
    return recordings.changed(lessonId);
  });

  app.get('/api/lessons/:id/takes/:takeId/sound', { schema: { params: TakeParams } }, (request, reply) =>
    sendSound(reply, recordings.mustOwnTake(request, request.params).id),
  );

  app.post(
    '/api/lessons/:id/recording/keep',
    { schema: { params: Params, body: RecordingKeep, response: { 200: RecordingDetail } } },
    (request) => {
      const lessonId = recordings.mustOwnLesson(request, request.params.id);
      queries.setKeepDays(db, lessonId, request.body.keepDays);
      return recordings.detail(lessonId);
    },
  );

  app.post('/api/lessons/:id/recording/delete', { schema: { params: Params, response: { 200: RecordingDetail } } }, (request) => {
    const lessonId = recordings.mustOwnLesson(request, request.params.id);
    reallyDelete(store, () => queries.deleteRecording(db, lessonId));
    return recordings.changed(lessonId);
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
