import Database from 'better-sqlite3';
import { CoreError, type ErrorCode } from '@zeitpunkt/core/errors';
import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { checkSchool } from '../db/check-school.js';
import { RESTORING } from '../db/connection.js';
import { prepareDataDir } from '../db/data-dir.js';
import { takeLock } from '../db/lock.js';
import { asNoRoom, mustHaveRoom } from './no-room.js';
import { copy, isSealed, unseal } from './seal.js';

export interface RestoreWish {
  readonly file: string;
  /** An empty directory, or one that is made: a school that is there is never written over. */
  readonly dataDir: string;
  readonly passphrase: string | null;
  readonly migrationsDir: string;
  /** How far it is, 0 to 1. */
  readonly onProgress: (part: number) => void;
  readonly signal?: AbortSignal;
}

/** What is wrong with a database, as it is said of a backup. */
const OF_BACKUP: Partial<Record<ErrorCode, { readonly code: ErrorCode; readonly says: string }>> = {
  START_DATABASE_DAMAGED: { code: 'BACKUP_DAMAGED', says: 'is damaged or was cut off' },
  START_DATABASE_FOREIGN: { code: 'BACKUP_FOREIGN', says: 'is no backup of Zeitpunkt' },
  START_DATABASE_NEWER: { code: 'BACKUP_NEWER', says: 'was made by a newer version of Zeitpunkt; restore it with that one' },
};

/**
 * Brings a school back from a backup. It stands there whole and checked or not at all; one that is cut off is begun anew by the
 * next try, and no server makes a new school beside it meanwhile.
 * @throws CoreError BACKUP_MISSING, BACKUP_HERE, BACKUP_SEALED, BACKUP_DAMAGED, BACKUP_FOREIGN, BACKUP_NEWER, BACKUP_NO_ROOM,
 * START_DATA_DIR, START_DATA_IN_USE
 */
export async function restore({ file, dataDir, passphrase, migrationsDir, onProgress, signal }: RestoreWish): Promise<void> {
  if (!existsSync(file) || !statSync(file).isFile()) throw new CoreError('BACKUP_MISSING', `There is no backup ${file}.`, { file });
  const sealed = isSealed(file);
  if (sealed && passphrase === null) throw new CoreError('BACKUP_SEALED', `The backup ${file} is sealed: say its passphrase.`, { file });
  prepareDataDir(dataDir);
  const unlock = takeLock(dataDir);
  const school = join(dataDir, 'zeitpunkt.sqlite');
  const unfinished = `${school}${RESTORING}`;
  try {
    if (existsSync(school) || existsSync(`${school}-wal`)) {
      throw new CoreError('BACKUP_HERE', `There is a school in ${dataDir} already. Name an empty directory with --data, or move it away first.`, { dataDir }); // prettier-ignore
    }
    clear(unfinished);
    mustHaveRoom(dataDir, statSync(file).size);
    const moving = { from: file, to: unfinished, onProgress, signal };
    await (sealed ? unseal(passphrase!, moving) : copy(moving));
    check(unfinished, file, migrationsDir);
    signal?.throwIfAborted();
    renameSync(unfinished, school);
  } catch (error) {
    clear(unfinished);
    throw asNoRoom(error, dataDir);
  } finally {
    unlock();
  }
}

function clear(unfinished: string): void {
  for (const left of [unfinished, `${unfinished}-wal`, `${unfinished}-shm`]) rmSync(left, { force: true });
}

function check(unfinished: string, file: string, migrationsDir: string): void {
  let sqlite: Database.Database | undefined;
  try {
    sqlite = new Database(unfinished, { readonly: true });
    checkSchool(sqlite, file, migrationsDir);
  } catch (error) {
    const { code, says } =
      OF_BACKUP[error instanceof CoreError ? error.code : 'START_DATABASE_DAMAGED'] ?? OF_BACKUP.START_DATABASE_DAMAGED!;
    throw new CoreError(code, `The file ${file} ${says}. Nothing was changed.`, { file });
  } finally {
    sqlite?.close();
  }
}
