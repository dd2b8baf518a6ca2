import { CoreError } from '@zeitpunkt/core/errors';
import type { onRequestHookHandler } from 'fastify';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuses changes and sockets that a page of another site asks for. Browsers send `Origin` with every such request; it
 * must name the host that the request came to. Programs without an `Origin` hold no cookies of somebody else's browser.
 * Fails with CoreError REQUEST_ORIGIN.
 */
export const checkOrigin: onRequestHookHandler = (request, _reply, done) => {
  const isSocket = request.headers.upgrade?.toLowerCase() === 'websocket';
  if (READS.has(request.method) && !isSocket) return done();
  const origin = request.headers.origin;
  if (origin === undefined) return done();
  const url = URL.canParse(origin) ? new URL(origin) : null;
  // Nothing but scheme and host: an origin that carries a user, a path or anything else was not written by a browser.
  if (url === null || url.host !== request.headers.host || url.origin !== origin) {
    return done(new CoreError('REQUEST_ORIGIN', 'This change was asked for from a page of another site, so it was not made.'));
  }
  done();
};
