/** The worker that chooses sets of questions, in a file of its own: it is fetched when somebody designs one. */
export function startDesigner(): Worker {
  return new Worker(new URL('./set-designer.worker', import.meta.url), { type: 'module' });
}
