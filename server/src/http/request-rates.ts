import { RATES } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import type { FastifyRequest, onRequestHookHandler } from 'fastify';

/** Who asks, as far as it can be told before anything else is done. */
export type Asker = { readonly is: 'teacher' | 'desk'; readonly token: string } | { readonly is: 'stranger' };

/** More addresses than that within a minute are not told apart any more. */
const MOST_KEYS = 100_000;

/**
 * Bounds how often anybody asks for anything, pages and answers of pupils apart: each browser of a teacher and each device in a
 * room by itself, so that one that is out of its mind holds up nobody else; all others by their address.
 * @param askerOf a made-up token makes a stranger
 */
export function requestRates(askerOf: (request: FastifyRequest) => Asker, nowMs: () => number): onRequestHookHandler {
  const counts = new Map<string, number>();
  let window = 0;
  return (request, reply, done) => {
    if (!request.url.startsWith('/api/')) return done();
    const asker = askerOf(request);
    const { most, withinSec } = RATES[`${asker.is}Requests`];
    const now = Math.floor(nowMs() / (1000 * withinSec));
    if (now !== window || counts.size > MOST_KEYS) counts.clear();
    window = now;
    const key = `${asker.is} ${asker.is === 'stranger' ? request.ip : asker.token}`;
    const count = (counts.get(key) ?? 0) + 1;
    counts.set(key, count);
    if (count <= most) return done();
    void reply.header('retry-after', String(withinSec));
    done(new CoreError('REQUEST_RATE', 'This device asks for too much at once. Please wait a minute and try again.'));
  };
}
