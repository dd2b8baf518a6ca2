import { CoreError } from '@zeitpunkt/core/errors';
import type { FastifyInstance } from 'fastify';
import { randomInt } from 'node:crypto';
import { networkInterfaces } from 'node:os';
import { resolve } from 'node:path';
import { buildApp } from './app.js';
import { backUpInOwnProcess } from './backup/in-process-of-its-own.js';
import { ScheduledBackups } from './backup/scheduled.js';
import { openStore, type Store } from './db/connection.js';
import { DEMO_SIGN_IN, seedDemo } from './demo/seed.js';
import { noteAct, pupilsDeletedAtMs } from './features/acts/gives.js';
import { addressesOf } from './features/addresses/addresses.js';
import { authQueries } from './features/auth/queries.js';
import type { BackupSetting, StartOptions } from './options.js';
import { tellAddress } from './handed-over.js';
import { figuresPort } from './figures/figures-port.js';
import { Figures } from './figures/figures.js';
import { WorkThread } from './work/thread.js';
import type { Work } from './work/work.js';

/** A school that can be reached. */
export interface Served {
  readonly app: FastifyInstance;
  readonly store: Store;
  /** The port it listens to, also where any free one was asked for. */
  readonly port: number;
  /** Its backups, where they are set. */
  readonly backups: ScheduledBackups | null;
  /** What whoever started it should read. */
  readonly greeting: string;
}

/**
 * Opens the school of a data directory and serves it.
 * @param here the folder of the running script: the thread of heavy work lies beside it, tables and pages at known places from it
 * @param workOf who does its heavy work; ends with the school
 * @throws CoreError START_… with one plain sentence; nothing is left open then
 */
export async function serve(options: StartOptions, here: string, workOf = workThread): Promise<Served> {
  const store = openStore({ ...options, migrationsDir: resolve(here, '../drizzle') });
  try {
    return await listen(options, store, here, workOf(store, here, options));
  } catch (error) {
    store.close();
    throw error;
  }
}

/** Heavy work in a thread of its own. */
function workThread(store: Store, here: string, { quotaBytes }: StartOptions): Work {
  const onFault = (error: Error) => console.error('The thread of heavy work ended; it begins anew when it is needed.', error);
  return new WorkThread({ script: resolve(here, 'worker.js'), file: store.sqlite.name, quotaBytes, onFault });
}

/** Backups of a school that is served, made beside it. */
function scheduled({ to, school, atMin, keep }: BackupSetting, dataDir: string, here: string, store: Store): ScheduledBackups {
  return new ScheduledBackups({
    to,
    school,
    atMin,
    most: keep,
    pupilsDeletedAtMs: () => pupilsDeletedAtMs(store.db),
    nowMs: Date.now,
    make: () => backUpInOwnProcess({ here, dataDir, to, school, keep }),
    onDone: (problem) => {
      const act = problem === null ? 'backed-up' : 'backup-failed';
      noteAct(store.db, { act, atMs: Date.now(), teacherId: null, about: problem ?? to });
      if (problem === null) console.log(`The school was backed up to ${to}.`);
      else console.error(`The school could not be backed up. ${problem}`);
    },
  });
}

async function listen(
  { port, host, demo, publicUrl, behindProxy, ...options }: StartOptions,
  store: Store,
  here: string,
  work: Work,
): Promise<Served> {
  if (demo) await seedDemo(store, Date.now());
  const setUpCode = authQueries(store.db).anyTeacher() ? null : String(randomInt(10_000_000, 99_999_999));
  let listensTo = port;
  const addresses = () => addressesOf({ publicUrl, host, port: listensTo, interfaces: networkInterfaces() });
  const figures = options.metricsPort === null ? null : new Figures();
  const backups = options.backups && scheduled(options.backups, options.dataDir, here, store);
  const app = await buildApp({
    store,
    work,
    nowMs: Date.now,
    setUpCode,
    webDir: resolve(here, '../../web/dist/browser'),
    publicUrl,
    behindProxy,
    addresses,
    backups,
    figures,
    // A service keeps its log; a teacher who starts it in a window reads what matters.
    logger: { level: process.env['LOG_LEVEL'] ?? (process.stdout.isTTY ? 'warn' : 'info') },
  });
  if (figures) {
    const served = await figuresPort(figures, options.metricsPort!);
    app.addHook('onClose', async () => void served.close());
  }
  try {
    if (options.socket) tellAddress(app.server);
    // Fastify hands on to Node whatever says where to listen, a socket that is open already, too.
    await app.listen({ port, host, ...options.socket });
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    const why = code === 'EADDRINUSE' ? `Port ${port} is used by another program.` : `The server cannot listen there (${message}).`;
    throw new CoreError('START_PORT_IN_USE', `${why} Choose another port with --port.`, { port, why });
  }
  const address = app.server.address();
  if (typeof address === 'object' && address) listensTo = address.port;
  const own = publicUrl ?? `http://localhost:${listensTo}`;
  const lines = [`\n  Teacher:  ${own}/`, ...addresses().map((url) => `  Pupils:   ${url}/desk`)];
  if (demo) lines.push(`\n  Demo sign-in:  ${DEMO_SIGN_IN.signInName}   Password:  ${DEMO_SIGN_IN.password}`);
  if (setUpCode) lines.push(`\n  First start: open ${own}/set-up and enter the code  ${setUpCode}`);
  return { app, store, port: listensTo, backups, greeting: lines.join('\n') };
}
