/** The worker that makes films, in a file of its own: it is fetched when one is made. */
export function startFilm(): Worker {
  return new Worker(new URL('./film.worker', import.meta.url), { type: 'module' });
}
