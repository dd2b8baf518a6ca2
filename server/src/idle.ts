import type { Server, Socket } from 'node:net';

/** What is watched is looked at so often, as a part of the time that is waited. */
const LOOKS = 20;

/**
 * Calls once when a server has had no line of anybody for so long: no page, no desk, no proxy that holds one.
 * @param afterMs milliseconds
 */
export function whenIdle(server: Server, afterMs: number, then: () => void): void {
  const lines = new Set<Socket>();
  let sinceMs = performance.now();
  server.on('connection', (line: Socket) => {
    lines.add(line);
    line.once('close', () => {
      lines.delete(line);
      sinceMs = performance.now();
    });
  });
  const timer = setInterval(() => {
    if (lines.size > 0 || performance.now() - sinceMs < afterMs) return;
    clearInterval(timer);
    then();
  }, afterMs / LOOKS);
  timer.unref();
}
