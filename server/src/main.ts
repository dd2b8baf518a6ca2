import { CoreError } from '@zeitpunkt/core';
import { randomInt } from 'node:crypto';
import { networkInterfaces } from 'node:os';
import { resolve } from 'node:path';
import { buildApp } from './app.js';
import { openStore, type Store } from './db/connection.js';
import { DEMO_SIGN_IN, seedDemo } from './demo/seed.js';
import { addressesOf } from './features/addresses/addresses.js';
import { authQueries } from './features/auth/queries.js';
import { readOptions, type StartOptions } from './options.js';
import { stopInOrder } from './stop.js';
import { WorkThread } from './work/thread.js';

/** Starts the server from the command line. */
async function main(): Promise<void> {
  process.umask(0o077); // whatever is written is for whoever runs the school
  const options = readOptions(process.argv.slice(2), process.env);
  const here = import.meta.dirname;
  const store = openStore({ dataDir: options.dataDir, migrationsDir: resolve(here, '../drizzle') });
  try {
    await serve(options, store, here);
  } catch (error) {
    store.close();
    throw error;
  }
}

async function serve({ port, host, demo, publicUrl, behindProxy }: StartOptions, store: Store, here: string): Promise<void> {
  if (demo) await seedDemo(store, Date.now());
  const setUpCode = authQueries(store.db).anyTeacher() ? null : String(randomInt(10_000_000, 99_999_999));
  let listensTo = port;
  const addresses = () => addressesOf({ publicUrl, host, port: listensTo, interfaces: networkInterfaces() });
  const onFault = (error: Error) => console.error('The thread of heavy work ended; it begins anew when it is needed.', error);
  const app = await buildApp({
    store,
    work: new WorkThread({ script: resolve(here, 'worker.js'), file: store.sqlite.name, onFault }),
    nowMs: Date.now,
    setUpCode,
    webDir: resolve(here, '../../web/dist/browser'),
    publicUrl,
    behindProxy,
    addresses,
    logger: { level: process.env['LOG_LEVEL'] ?? 'warn' },
  });
  try {
    await app.listen({ port, host });
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    const why = code === 'EADDRINUSE' ? `Port ${port} is used by another program.` : `The server cannot listen there (${message}).`;
    throw new CoreError('START_PORT_IN_USE', `${why} Choose another port with --port.`);
  }
  stopInOrder(app, store);

  const address = app.server.address();
  if (typeof address === 'object' && address) listensTo = address.port;
  const own = `http://localhost:${listensTo}`;
  console.log(`\n  Teacher:  ${publicUrl ?? own}/`);
  for (const url of addresses()) console.log(`  Pupils:   ${url}/desk`);
  if (demo) console.log(`\n  Demo sign-in:  ${DEMO_SIGN_IN.signInName}   Password:  ${DEMO_SIGN_IN.password}`);
  if (setUpCode) console.log(`\n  First start: open ${publicUrl ?? own}/set-up and enter the code  ${setUpCode}`);
  console.log('\n  Stop with Ctrl+C.\n');
}

main().catch((error: unknown) => {
  console.error(error instanceof CoreError ? `Zeitpunkt did not start: ${error.message}` : error);
  process.exit(1);
});
