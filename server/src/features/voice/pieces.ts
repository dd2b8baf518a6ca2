import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import type { Store } from '../../db/connection.js';
import type { OwnRecordings } from './own-recordings.js';

/** What the routes need that takes come by. */
export interface ComingTakesOptions {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly recordings: OwnRecordings;
}

/** A piece is about a second of speech; where many waited for the line, they still come one by one. */
export const PieceParams = Type.Object({ id: Type.String(), takeId: Type.String(), number: Type.String({ pattern: '^[0-9]{1,4}$' }) });

/** Has the bodies of some routes be bytes. */
export function takesPieces(app: Pick<FastifyInstance, 'addContentTypeParser'>): void {
  app.addContentTypeParser('application/octet-stream', { parseAs: 'buffer' }, (_request, body, done) => done(null, body));
}

/** The piece that was sent. @throws CoreError TAKE_SOUND when it is empty */
export function bytesOf(request: FastifyRequest): Buffer {
  const { body } = request;
  if (!Buffer.isBuffer(body) || body.length === 0) throw new CoreError('TAKE_SOUND', 'The sound that was sent is empty.');
  return body;
}
