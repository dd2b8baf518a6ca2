import { CoreError } from '@zeitpunkt/core/errors';
import type { RecordingDetail } from '@zeitpunkt/contract';
import type { FastifyRequest } from 'fastify';
import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { RequireTeacher } from '../auth/gives.js';
import { mustOwnLesson } from '../lessons/gives.js';
import * as queries from './queries.js';

/** The recordings of whoever asks. */
export class OwnRecordings {
  constructor(
    private readonly store: Store,
    private readonly events: Events,
    private readonly requireTeacher: RequireTeacher,
  ) {}

  /** @returns the id of a lesson of the teacher's @throws CoreError NOT_FOUND */
  mustOwnLesson(request: FastifyRequest, id: string): string {
    const teacher = this.requireTeacher(request);
    mustOwnLesson(this.store.db, teacher.id, id);
    return id;
  }

  /** @throws CoreError NOT_FOUND, TAKE_UNKNOWN */
  mustOwnTake(request: FastifyRequest, { id, takeId }: { readonly id: string; readonly takeId: string }) {
    const lessonId = this.mustOwnLesson(request, id);
    const row = queries.rowOf(this.store.db, takeId);
    if (row?.lessonId !== lessonId) throw new CoreError('TAKE_UNKNOWN', 'This recording has no such take any more.');
    return row;
  }

  detail(lessonId: string): RecordingDetail {
    const { db } = this.store;
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
  }

  /** Pupils who hear the lesson hear what has changed. */
  changed(lessonId: string): RecordingDetail {
    this.events.emit('takesChanged', { lessonId });
    return this.detail(lessonId);
  }
}
