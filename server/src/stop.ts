import type { FastifyInstance } from 'fastify';
import type { Store } from './db/connection.js';

/** Requests that are being answered have this long to end, in milliseconds; then they are cut off. */
const PATIENCE_MS = 1500;
/** Whatever has not ended by then ends with the process. */
const END_MS = 4000;

/**
 * Ends the server in order when the system asks it to: nothing new is taken, what was begun is finished, and the database is closed.
 * @returns does the same when it is called
 */
export function stopInOrder(app: FastifyInstance, store: Store): () => void {
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    const end = () => {
      store.close();
      process.exit(0);
    };
    setTimeout(() => app.server.closeAllConnections(), PATIENCE_MS).unref();
    setTimeout(end, END_MS).unref();
    app.close().then(end, end);
  };
  process.on('SIGINT', stop).on('SIGTERM', stop);
  return stop;
}
