import { CuesChange, RecordingDetail, TakeSchema, SIZES } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Take } from '@zeitpunkt/core/voice/take';
import { Type } from '@sinclair/typebox';
import { reallyDelete, type Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { nameFeatures, type Feature } from '../../http/feature.js';
import type { OwnRecordings } from './own-recordings.js';
import * as queries from './queries.js';

interface KeptTakesOptions {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly recordings: OwnRecordings;
}

const TakeParams = Type.Object({ id: Type.String(), takeId: Type.String() });

/** Takes that are whole: kept at their step, captioned, the one before brought back, deleted. */
export const keptTakes: Feature<KeptTakesOptions> = async (app, { store, nowMs, recordings }) => {
  const { db } = store;

  // Its sound is there: it becomes the take of its step. Sent again it stays what it is.
  app.post(
    '/api/lessons/:id/takes/:takeId',
    { schema: { params: TakeParams, body: TakeSchema, response: { 200: RecordingDetail } }, bodyLimit: SIZES.takePiece.bytes },
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
    { schema: { params: TakeParams, body: CuesChange, response: { 200: RecordingDetail } }, bodyLimit: SIZES.takePiece.bytes },
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
};
nameFeatures({ keptTakes });

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
