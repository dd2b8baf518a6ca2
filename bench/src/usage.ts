import type { Usage, UsageOrder } from './child.js';

/** Tells whoever started this process what it has used, when asked, and first that it is ready. */
export function tellUsage(ready: object): void {
  process.on('message', ({ type, collect }: UsageOrder) => {
    if (type !== 'usage') return;
    // Only when it is asked for: it also throws compiled code away, and the next answers would be slower for it.
    if (collect) globalThis.gc?.();
    const { user, system } = process.cpuUsage();
    const { rss, heapUsed } = process.memoryUsage();
    const usage: Usage = { cpuMs: (user + system) / 1000, rssMb: rss / 2 ** 20, heapMb: heapUsed / 2 ** 20 };
    process.send!(usage);
  });
  process.send!(ready);
}
