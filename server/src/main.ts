import { CoreError } from '@zeitpunkt/core';
import { randomInt } from 'node:crypto';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { buildApp } from './app.js';
import { openStore } from './db/connection.js';
import { DEMO_SIGN_IN, seedDemo } from './demo/seed.js';
import { authQueries } from './features/auth/queries.js';

/** Starts the server from the command line. `--demo` fills an empty data directory with the demo class. */
async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      port: { type: 'string', default: process.env['PORT'] ?? '4780' },
      host: { type: 'string', default: process.env['HOST'] ?? '0.0.0.0' },
      data: { type: 'string', default: process.env['ZEITPUNKT_DATA'] ?? 'data' },
      demo: { type: 'boolean', default: false },
    },
  });
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new CoreError('START_PORT_IN_USE', `A port is a whole number from 0 to 65535, but “${values.port}” came.`);
  }
  const here = import.meta.dirname;
  const store = openStore({ dataDir: resolve(values.data), migrationsDir: resolve(here, '../drizzle') });
  if (values.demo) await seedDemo(store, Date.now());
  const setUpCode = authQueries(store.db).anyTeacher() ? null : String(randomInt(10_000_000, 99_999_999));
  const app = await buildApp({
    store,
    nowMs: Date.now,
    setUpCode,
    webDir: resolve(here, '../../web/dist/browser'),
    logger: { level: process.env['LOG_LEVEL'] ?? 'warn' },
  });
  try {
    await app.listen({ port, host: values.host });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
    throw new CoreError('START_PORT_IN_USE', `Port ${port} is used by another program. Choose another one with --port.`);
  }
  const stop = () => void app.close().then(() => (store.sqlite.close(), process.exit(0)));
  process.on('SIGINT', stop).on('SIGTERM', stop);

  const address = app.server.address();
  const base = `http://localhost:${typeof address === 'object' && address ? address.port : port}`;
  console.log(`\n  Teacher:  ${base}/\n  Pupils:   ${base}/desk`);
  if (values.demo) console.log(`\n  Demo sign-in:  ${DEMO_SIGN_IN.signInName}   Password:  ${DEMO_SIGN_IN.password}`);
  if (setUpCode) console.log(`\n  First start: open ${base}/set-up and enter the code  ${setUpCode}`);
  console.log('\n  Stop with Ctrl+C.\n');
}

main().catch((error: unknown) => {
  console.error(error instanceof CoreError ? `Zeitpunkt did not start: ${error.message}` : error);
  process.exit(1);
});
