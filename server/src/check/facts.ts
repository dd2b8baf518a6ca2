import { accessSync, constants, existsSync, statfsSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { networkInterfaces } from 'node:os';
import { dirname, join } from 'node:path';
import { addressesOf } from '../features/addresses/addresses.js';
import type { StartOptions } from '../options.js';
import type { MachineFacts } from './check.js';

/** Whoever does not answer by then is not there, in milliseconds. */
const PATIENCE_MS = 5000;

/** Looks at the machine, and changes nothing: the server may run meanwhile, or not. */
export async function machineFacts(options: StartOptions, here: string): Promise<MachineFacts> {
  const { port, host, dataDir, publicUrl, behindProxy, backups } = options;
  const isHere = await isZeitpunkt(`http://127.0.0.1:${port}`);
  const portUsedBy = isHere === 'yes' ? 'zeitpunkt' : (await isFree(port, host)) ? 'nobody' : 'other';
  return {
    addresses: addressesOf({ publicUrl, host, port, interfaces: networkInterfaces() }),
    publicUrl,
    behindProxy,
    port,
    portUsedBy,
    answersThere: publicUrl === null || portUsedBy !== 'zeitpunkt' ? null : await isZeitpunkt(publicUrl),
    nowMs: Date.now(),
    builtMs: statSync(join(here, 'main.js')).mtimeMs,
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    freeBytes: freeBytes(dataDir),
    schoolBytes: sizeOf(join(dataDir, 'zeitpunkt.sqlite')),
    directoryProblem: directoryProblem(dataDir),
    backupsTo: backups?.to ?? null,
  };
}

async function isZeitpunkt(url: string): Promise<'yes' | { readonly instead: string }> {
  try {
    const reply = await fetch(`${url}/health`, { signal: AbortSignal.timeout(PATIENCE_MS), redirect: 'manual' });
    const health = (await reply.json().catch(() => null)) as { readonly alive?: unknown } | null;
    return health?.alive === true ? 'yes' : { instead: `another program does, with status ${reply.status}` };
  } catch (error) {
    const { cause, message } = error as { readonly cause?: { readonly code?: string }; readonly message: string };
    return { instead: cause?.code ?? message };
  }
}

const isFree = (port: number, host: string): Promise<boolean> =>
  new Promise((resolve) => {
    const tried = createServer();
    tried.once('error', () => resolve(false));
    tried.listen(port, host, () => tried.close(() => resolve(true)));
  });

/** The nearest directory that is there: a school that was never started has none yet. */
const nearest = (path: string): string => (existsSync(path) ? path : nearest(dirname(path)));

function freeBytes(dataDir: string): number {
  const { bavail, bsize } = statfsSync(nearest(dataDir));
  return bavail * bsize;
}

const sizeOf = (file: string): number => (existsSync(file) ? statSync(file).size : 0);

function directoryProblem(dataDir: string): string | null {
  const place = nearest(dataDir);
  try {
    if (!statSync(place).isDirectory()) return `${place} is a file, and no directory for a school.`;
    accessSync(place, constants.R_OK | constants.W_OK | constants.X_OK);
  } catch (error) {
    return `The directory ${place} cannot be used: ${(error as Error).message}.`;
  }
  const isOpen =
    place === dataDir && existsSync(join(dataDir, 'zeitpunkt.sqlite')) && (statSync(join(dataDir, 'zeitpunkt.sqlite')).mode & 0o077) !== 0;
  return isOpen ? `Others on this machine can read ${join(dataDir, 'zeitpunkt.sqlite')}, with pupils’ names and answers.` : null;
}
