import type { FastifyReply } from 'fastify';
import type { Json } from '../work/work.js';

// Fastify sends bytes as well as texts, but its types know texts alone.
const asItIs = ((payload: Buffer) => payload) as unknown as (payload: Buffer) => string;

/** Sends what was written out as JSON elsewhere as it is; everything else is written out by the schema of its route. */
export function sendWrittenJson(
  _request: unknown,
  reply: FastifyReply,
  payload: unknown,
  done: (error: null, payload: unknown) => void,
): void {
  if (!isWritten(payload)) return done(null, payload);
  const { buffer, byteOffset, byteLength } = payload.json;
  reply.serializer(asItIs);
  done(null, Buffer.from(buffer, byteOffset, byteLength));
}

const isWritten = (payload: unknown): payload is Json<unknown> => (payload as Partial<Json<unknown>> | null)?.json instanceof Uint8Array;
