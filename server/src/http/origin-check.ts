import { CoreError } from '@zeitpunkt/core';
import type { FastifyRequest } from 'fastify';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuses changes and sockets that a page of another site asks for. Browsers send `Origin` with every such request; it
 * must name the host that the request came to. Programs without an `Origin` hold no cookies of somebody else's browser.
 * @throws CoreError REQUEST_ORIGIN
 */
export function checkOrigin(request: FastifyRequest): void {
  const isSocket = request.headers.upgrade?.toLowerCase() === 'websocket';
  if (READS.has(request.method) && !isSocket) return;
  const origin = request.headers.origin;
  if (origin === undefined) return;
  if (!URL.canParse(origin) || new URL(origin).host !== request.headers.host) {
    throw new CoreError('REQUEST_ORIGIN', 'This change was asked for from a page of another site, so it was not made.');
  }
}
