/** The worker that makes papers, in a file of its own: it is fetched when one is made. */
export function startPaper(): Worker {
  return new Worker(new URL('./paper.worker', import.meta.url), { type: 'module' });
}
