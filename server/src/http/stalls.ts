import type { Server } from 'node:http';

/** The loop is looked at so often, in milliseconds. */
const TICK_MS = 250;

type Patience = Pick<Server, 'requestTimeout' | 'headersTimeout'>;

/**
 * A request has a time to arrive whole; while the server's own loop stands still, what has arrived lies unread, and is not late.
 * Time that the loop stood still is given on top of both limits for as long as it may matter.
 * @returns stops looking
 */
export function forgiveStalls(server: Patience): () => void {
  const limits = { requestTimeout: server.requestTimeout, headersTimeout: server.headersTimeout };
  /** When the loop stood still and for how long, in milliseconds of the process's own clock. */
  let stalls: { readonly endedAt: number; readonly ms: number }[] = [];
  let lastTick = performance.now();
  const lateness = (now: number) => Math.max(0, now - lastTick - TICK_MS);
  const timer = setInterval(() => {
    const now = performance.now();
    const ms = lateness(now);
    if (ms > 0) stalls.push({ endedAt: now, ms });
    stalls = stalls.filter(({ endedAt }) => now - endedAt < 2 * limits.requestTimeout);
    lastTick = now;
  }, TICK_MS).unref();
  // Whole milliseconds: Node takes nothing else.
  const stoodStill = () => Math.ceil(stalls.reduce((sum, { ms }) => sum + ms, lateness(performance.now())));
  // Node reads these whenever it looks for requests that are late, perhaps before the tick above.
  for (const limit of ['requestTimeout', 'headersTimeout'] as const) {
    Object.defineProperty(server, limit, { get: () => limits[limit] + stoodStill(), set: (ms: number) => (limits[limit] = ms) });
  }
  return () => clearInterval(timer);
}
