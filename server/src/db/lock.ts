import Database from 'better-sqlite3';
import { CoreError } from '@zeitpunkt/core/errors';
import { chmodSync } from 'node:fs';
import { join } from 'node:path';
import { sqliteCode } from './sqlite-code.js';

/**
 * Takes a data directory for this server. The lock is one of the operating system, held by SQLite on a file of its own: it
 * ends with the process, however that ends, and so can never be left behind.
 * @returns a function that gives it free
 * @throws CoreError START_DATA_IN_USE, START_DATA_DIR
 */
export function takeLock(dataDir: string): () => void {
  const file = join(dataDir, 'zeitpunkt.lock');
  let lock: Database.Database | undefined;
  try {
    lock = new Database(file, { timeout: 0 });
    chmodSync(file, 0o600);
    lock.exec('BEGIN EXCLUSIVE');
    const taken = lock;
    return () => taken.close();
  } catch (error) {
    lock?.close();
    if (sqliteCode(error).startsWith('SQLITE_BUSY')) {
      throw new CoreError(
        'START_DATA_IN_USE',
        `The school in ${dataDir} is open in another Zeitpunkt already. Stop that one first, or choose another directory with --data.`,
        { dataDir },
      );
    }
    throw new CoreError('START_DATA_DIR', `The data directory ${dataDir} cannot be used: ${(error as Error).message}.`, {
      dataDir,
      why: (error as Error).message,
    });
  }
}
