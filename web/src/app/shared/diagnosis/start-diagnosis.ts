/** The worker that looks for ideas, in a file of its own: it is fetched when answers are looked through. */
export function startDiagnosis(): Worker {
  return new Worker(new URL('./diagnosis.worker', import.meta.url), { type: 'module' });
}
