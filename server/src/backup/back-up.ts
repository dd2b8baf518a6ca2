import Database from 'better-sqlite3';
import { CoreError } from '@zeitpunkt/core/errors';
import { chmodSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import { checkSchool } from '../db/check-school.js';
import { notKept, type Keeping } from './kept.js';
import { fileNameOf, partOf, schoolInFiles, writerOf } from './names.js';
import { asNoRoom, mustHaveRoom } from './no-room.js';
import { seal } from './seal.js';

export interface BackUpWish {
  readonly dataDir: string;
  /** Where backups lie. */
  readonly to: string;
  /** What the school is called in their names. */
  readonly school: string;
  /** Only whoever has it can read the backup; null for a plain file. */
  readonly passphrase: string | null;
  /** How long a guess at the passphrase takes, see `seal`; the usual one where it is left out. */
  readonly workFactor?: number;
  readonly keeping: Keeping;
  readonly migrationsDir: string;
  readonly nowMs: number;
  /** How far it is, 0 to 1. */
  readonly onProgress: (part: number) => void;
  readonly signal?: AbortSignal;
}

export interface BackedUp {
  readonly file: string;
  readonly bytes: number;
  /** Backups that are kept no longer and were deleted. */
  readonly deleted: readonly string[];
}

/** So many pages of the database are copied before something else may happen. */
const PAGES_AT_ONCE = 200;

/**
 * Backs a school up to one file while it goes on: recordings are in the database, too. The file is as the school was when the
 * backup began, is opened and checked before it counts, and stands there whole or not at all.
 * Source: SQLite's online backup; a read transaction keeps it from beginning anew with every answer that is written meanwhile.
 * @throws CoreError BACKUP_NONE, BACKUP_NO_ROOM, or that the school itself is damaged
 */
export async function backUp(wish: BackUpWish): Promise<BackedUp> {
  const { dataDir, to, school, passphrase, keeping, nowMs, onProgress, signal } = wish;
  const source = join(dataDir, 'zeitpunkt.sqlite');
  if (!existsSync(source)) throw new CoreError('BACKUP_NONE', `There is no school in ${dataDir} to back up.`, { dataDir });
  mkdirSync(to, { recursive: true, mode: 0o700 });
  clearAway(to);
  const file = join(to, fileNameOf({ school, atMs: nowMs, sealed: passphrase !== null }));
  const [plain, sealed] = [partOf(file), partOf(file, 'sealed')];
  const copying = passphrase === null ? 1 : 0.6;
  try {
    mustHaveRoom(to, bytesOf(source) * (passphrase === null ? 1 : 2));
    await copyWhole(source, plain, (part) => onProgress(part * copying), signal);
    check(plain, wish.migrationsDir);
    if (passphrase !== null) {
      const moving = { from: plain, to: sealed, signal, onProgress: (part: number) => onProgress(copying + part * (1 - copying)) };
      await seal(passphrase, moving, wish.workFactor);
      rmSync(plain);
    }
    signal?.throwIfAborted();
    renameSync(passphrase === null ? plain : sealed, file);
  } catch (error) {
    for (const left of [plain, `${plain}-wal`, `${plain}-shm`, sealed]) rmSync(left, { force: true });
    throw asNoRoom(error, to);
  }
  const deleted = notKept(readdirSync(to), schoolInFiles(school), keeping, nowMs);
  for (const one of deleted) rmSync(join(to, one), { force: true });
  return { file, bytes: statSync(file).size, deleted };
}

/** With what was written lately and stands in the log. */
const bytesOf = (source: string): number =>
  [source, `${source}-wal`].reduce((sum, file) => sum + (existsSync(file) ? statSync(file).size : 0), 0);

async function copyWhole(source: string, to: string, onProgress: (part: number) => void, signal?: AbortSignal): Promise<void> {
  const sqlite = new Database(source, { timeout: 5000 });
  try {
    sqlite.exec('BEGIN');
    sqlite.prepare('SELECT count(*) FROM sqlite_master').get();
    await sqlite.backup(to, {
      progress({ totalPages, remainingPages }) {
        signal?.throwIfAborted();
        onProgress(totalPages === 0 ? 0 : 1 - remainingPages / totalPages);
        return PAGES_AT_ONCE;
      },
    });
  } finally {
    sqlite.close();
  }
  chmodSync(to, 0o600);
  // One file: what it is copied or read with later may not know of a log beside it.
  const made = new Database(to);
  made.pragma('journal_mode = DELETE');
  made.close();
}

function check(file: string, migrationsDir: string): void {
  const sqlite = new Database(file, { readonly: true });
  try {
    checkSchool(sqlite, basename(file), migrationsDir);
  } finally {
    sqlite.close();
  }
}

/** What a backup left behind that was cut off. */
function clearAway(to: string): void {
  for (const name of readdirSync(to)) {
    const writer = writerOf(name);
    if (writer !== null && writer !== process.pid && !isAlive(writer)) rmSync(join(to, name), { force: true });
  }
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
