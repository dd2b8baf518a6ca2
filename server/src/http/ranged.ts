import type { FastifyReply, FastifyRequest } from 'fastify';
import parseRange from 'range-parser';

/**
 * Sends bytes, or the part of them that was asked for: some browsers play no sound that they cannot leap within.
 * Several parts at once are answered with the whole, as RFC 9110, 14.2 allows.
 */
export function sendRanged(request: FastifyRequest, reply: FastifyReply, bytes: Buffer): FastifyReply {
  void reply.header('accept-ranges', 'bytes');
  const { range } = request.headers;
  const parts = range === undefined ? -2 : parseRange(bytes.length, range);
  if (parts === -1) return reply.code(416).header('content-range', `bytes */${bytes.length}`).send();
  if (parts === -2 || parts.type !== 'bytes' || parts.length !== 1) return reply.send(bytes);
  const { start, end } = parts[0]!;
  return reply
    .code(206)
    .header('content-range', `bytes ${start}-${end}/${bytes.length}`)
    .send(bytes.subarray(start, end + 1));
}
