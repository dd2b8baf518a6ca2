import { CoreError } from '@zeitpunkt/core/errors';
import { RecordingDetail, RecordingKeep } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { reallyDelete, type Store } from '../../db/connection.js';
import { type Events, listenTo } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import { sendRanged } from '../../http/ranged.js';
import { noteAct } from '../acts/gives.js';
import type { RequireTeacher } from '../auth/gives.js';
import { DESK_COOKIE, type FindDesk } from '../../sessions/desk-places.js';
import { comingSound } from './coming-sound.js';
import { comingTakes } from './coming-takes.js';
import { keptTakes } from './kept-takes.js';
import { OwnRecordings } from './own-recordings.js';
import * as queries from './queries.js';

export interface VoiceOptions {
  readonly store: Store;
  readonly events: Events;
  readonly findDesk: FindDesk;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });
const TakeParams = Type.Object({ id: Type.String(), takeId: Type.String() });

/** The recording of a lesson: takes come piece by piece, are kept by their steps, heard at own pace, and deleted for good. */
export const voicePlugin: Feature<VoiceOptions> = async (app, { store, events, findDesk, requireTeacher, nowMs }) => {
  const { db } = store;
  listenTo(events, { tidyUp: () => deleteOldRecordings(store, events, nowMs()) });

  const recordings = new OwnRecordings(store, events, requireTeacher);
  await app.register(comingTakes, { store, nowMs, recordings });
  await app.register(comingSound, { store, recordings });
  await app.register(keptTakes, { store, nowMs, recordings });
  const sendSound = (request: FastifyRequest, reply: FastifyReply, takeId: string) => {
    const kept = queries.soundOf(db, takeId);
    if (!kept) throw new CoreError('TAKE_UNKNOWN', 'The sound of this take has not come whole.');
    return sendRanged(request, reply.type(kept.mime).header('cache-control', 'no-store'), kept.sound);
  };

  app.get('/api/lessons/:id/recording', { schema: { params: Params, response: { 200: RecordingDetail } } }, (request) =>
    recordings.detail(recordings.mustOwnLesson(request, request.params.id)),
  );

  app.get('/api/lessons/:id/takes/:takeId/sound', { schema: { params: TakeParams } }, (request, reply) =>
    sendSound(request, reply, recordings.mustOwnTake(request, request.params).id),
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
    noteAct(db, { act: 'recording-deleted', atMs: nowMs(), teacherId: requireTeacher(request).id });
    return recordings.changed(lessonId);
  });

  // A pupil hears what belongs to where the pupil stands, and nothing of what comes behind a question.
  app.get('/api/desk/takes/:id', { schema: { params: Params } }, (request, reply) => {
    const place = findDesk(request.cookies[DESK_COOKIE]);
    if (!place.room?.mayHear(place.participantId, request.params.id)) {
      throw new CoreError('TAKE_UNKNOWN', 'There is nothing to hear here.');
    }
    return sendSound(request, reply, request.params.id);
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
