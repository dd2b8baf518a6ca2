import type { FastifyInstance } from 'fastify';
import type { Store } from './db/connection.js';

/** What is still open so long after a stop was asked for is cut off, in milliseconds. */
const PATIENCE_MS = 4000;

/** Ends the server in order when the system asks it to: nothing new is taken, what was begun is finished, and the database is closed. */
export function stopInOrder(app: FastifyInstance, store: Store): void {
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    const end = () => {
      store.close();
      process.exit(0);
    };
    setTimeout(end, PATIENCE_MS).unref();
    app.close().then(end, end);
  };
  process.on('SIGINT', stop).on('SIGTERM', stop);
}
