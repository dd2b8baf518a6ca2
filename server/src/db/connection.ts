import Database from 'better-sqlite3';
import { CoreError } from '@zeitpunkt/core/errors';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { chmodSync, existsSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { checkpointWhenCalm } from './checkpoints.js';
import { checkSchool } from './check-school.js';
import { prepareDataDir } from './data-dir.js';
import { holdLimits } from './held-limits.js';
import { takeLock } from './lock.js';
import { sqliteCode } from './sqlite-code.js';

export type Db = BetterSQLite3Database & { readonly $client: Database.Database };

export interface Store {
  readonly db: Db;
  readonly sqlite: Database.Database;
  /** Closes the database and frees its data directory for another server. */
  close(): void;
}

/** A database that is being restored is called so, until it is whole. */
export const RESTORING = '.restoring';

export interface StoreOptions {
  readonly dataDir: string;
  /** Folder of the drizzle-kit migrations. */
  readonly migrationsDir: string;
  /** How large the school may become, in bytes; left out or null, its disk alone bounds it. */
  readonly quotaBytes?: number | null;
}

/**
 * A write waits this long, in milliseconds, for another program that holds the database. It is short, because nothing else
 * happens meanwhile; longer waits are made without blocking, see when-free.ts.
 */
const BUSY_MS = 5;

/**
 * Opens the school of a data directory and brings it up to date, or makes a new one where there is none. Committed means on
 * the disk: write-ahead log with full synchronisation. What is there and is no sound school of this version or an earlier
 * one is refused and stays as it is.
 * @throws CoreError START_DATA_DIR, START_DATA_IN_USE, START_DATABASE_NEWER, START_DATABASE_DAMAGED, START_DATABASE_FOREIGN,
 * START_RESTORE_CUT
 */
export function openStore({ dataDir, migrationsDir, quotaBytes = null }: StoreOptions): Store {
  prepareDataDir(dataDir);
  const file = join(dataDir, 'zeitpunkt.sqlite');
  const unlock = takeLock(dataDir);
  try {
    if (existsSync(file)) lookFirst(file, migrationsDir);
    else createSchool(file, migrationsDir);
    const sqlite = connect(file);
    try {
      const db = drizzle({ client: sqlite });
      migrate(db, { migrationsFolder: migrationsDir });
      holdLimits(sqlite, quotaBytes); // once the tables are as they are to be
      emptyLog(sqlite); // of what was deleted when the server was cut off
      checkpointWhenCalm(sqlite);
      return { db, sqlite, close: () => (sqlite.close(), unlock()) };
    } catch (error) {
      sqlite.close();
      throw ofSqlite(error) ? cannotOpen(file, ofSqlite(error)!) : error;
    }
  } catch (error) {
    unlock();
    throw error;
  }
}

/**
 * Opens the database of a school that is open already once more, for another thread of the same server.
 * @param file of the database
 * @param quotaBytes as the school was opened with
 */
export function openBeside(file: string, quotaBytes: number | null = null): Store {
  const sqlite = connect(file);
  holdLimits(sqlite, quotaBytes);
  return { db: drizzle({ client: sqlite }), sqlite, close: () => void sqlite.close() };
}

/** Looks at what is there without writing into it: even the kind of log is a part of the file. */
function lookFirst(file: string, migrationsDir: string): void {
  let sqlite: Database.Database | undefined;
  try {
    sqlite = new Database(file, { readonly: true, timeout: BUSY_MS });
    checkSchool(sqlite, file, migrationsDir);
  } catch (error) {
    throw error instanceof CoreError ? error : cannotOpen(file, error as Error);
  } finally {
    sqlite?.close();
  }
}

/** A new school is made beside its place and moved there when it is whole: a start that is cut off leaves no half of one. */
function createSchool(file: string, migrationsDir: string): void {
  if (existsSync(`${file}-wal`)) {
    throw new CoreError(
      'START_DATABASE_DAMAGED',
      `The log of a database lies at ${file}-wal, but the database itself is gone. Bring it back from a backup. Nothing was changed.`,
      { file },
    );
  }
  if (existsSync(`${file}${RESTORING}`)) {
    throw new CoreError(
      'START_RESTORE_CUT',
      `A restore into this directory was cut off: restore once more, or delete ${file}${RESTORING} to begin with a new school.`,
      { file },
    );
  }
  const unfinished = `${file}.new`;
  for (const left of [unfinished, `${unfinished}-wal`, `${unfinished}-shm`]) rmSync(left, { force: true });
  try {
    const sqlite = connect(unfinished);
    migrate(drizzle({ client: sqlite }), { migrationsFolder: migrationsDir });
    sqlite.close();
    renameSync(unfinished, file);
  } catch (error) {
    throw new CoreError('START_DATA_DIR', `A new school cannot be written to ${file}: ${(error as Error).message}.`, {
      file,
      why: (error as Error).message,
    });
  }
}

function connect(file: string): Database.Database {
  let sqlite: Database.Database | undefined;
  try {
    sqlite = new Database(file, { timeout: BUSY_MS });
    chmodSync(file, 0o600); // pupils' names and answers are for whoever runs the school
    sqlite.pragma('journal_mode = WAL');
    sqlite.pragma('synchronous = FULL');
    sqlite.pragma('foreign_keys = ON');
    sqlite.pragma('cache_size = -6000'); // 6 MB: answers are appended, and what a review reads is read once
    sqlite.pragma('secure_delete = ON'); // what is deleted is overwritten, not only unlinked
    return sqlite;
  } catch (error) {
    sqlite?.close();
    throw cannotOpen(file, error as Error);
  }
}

/** The error of SQLite that is behind an error, if there is one: a migration wraps it. */
function ofSqlite(error: unknown): Error | null {
  if (sqliteCode(error)) return error as Error;
  const { cause } = error as { readonly cause?: unknown };
  return sqliteCode(cause) ? (cause as Error) : null;
}

function cannotOpen(file: string, error: Error): CoreError {
  const code = sqliteCode(error);
  if (/^SQLITE_(NOTADB|CORRUPT)/.test(code)) {
    return new CoreError(
      'START_DATABASE_DAMAGED',
      `The file ${file} is damaged or no database. Bring it back from a backup, or move it away to begin anew. Nothing was changed.`,
      { file },
    );
  }
  if (/^SQLITE_BUSY/.test(code)) {
    return new CoreError('START_DATA_IN_USE', `Another program holds the database ${file}. Close that program and start again.`, { file });
  }
  return new CoreError('START_DATA_DIR', `The database ${file} cannot be opened: ${error.message}.`, { file, why: error.message });
}

/**
 * Deletes something so that it is gone from the files too: overwritten in the database, and not left in its log. Where somebody
 * reads in the log just then, it is gone a moment after they have read, or with the next start.
 */
export function reallyDelete({ sqlite }: Store, work: () => void): void {
  sqlite.transaction(work).immediate();
  emptyLog(sqlite);
}

/** A log that somebody holds who reads is tried again so often, in milliseconds. */
const EMPTY_AGAIN_MS = 200;
const waitsForReaders = new WeakSet<Database.Database>();

/** Empties the log of a database; while somebody reads in it, as soon as they have read. */
function emptyLog(sqlite: Database.Database): void {
  if (!sqlite.open) return; // closed in order it has no log
  const [{ busy }] = sqlite.pragma('wal_checkpoint(TRUNCATE)') as [{ readonly busy: number }];
  if (busy === 0 || waitsForReaders.has(sqlite)) return;
  waitsForReaders.add(sqlite);
  setTimeout(() => {
    waitsForReaders.delete(sqlite);
    emptyLog(sqlite);
  }, EMPTY_AGAIN_MS).unref();
}
