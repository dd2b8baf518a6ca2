import { CoreError } from '@zeitpunkt/core/errors';
import { readOptions } from './options.js';
import { serve } from './serve.js';
import { stopInOrder } from './stop.js';

/** Starts the server from the command line. */
async function main(): Promise<void> {
  process.umask(0o077); // whatever is written is for whoever runs the school
  const { app, store, greeting } = await serve(readOptions(process.argv.slice(2), process.env), import.meta.dirname);
  stopInOrder(app, store);
  console.log(`${greeting}\n\n  Stop with Ctrl+C.\n`);
}

main().catch((error: unknown) => {
  console.error(error instanceof CoreError ? `Zeitpunkt did not start: ${error.message}` : error);
  process.exit(1);
});
