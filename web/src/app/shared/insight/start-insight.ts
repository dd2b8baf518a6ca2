/** The worker that knows a class, in a file of its own: it is fetched when somebody looks. */
export function startInsight(): Worker {
  return new Worker(new URL('./insight.worker', import.meta.url), { type: 'module' });
}
