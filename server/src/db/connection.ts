import Database from 'better-sqlite3';
import { CoreError } from '@zeitpunkt/core';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { accessSync, constants, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

export type Db = BetterSQLite3Database;

export interface Store {
  readonly db: Db;
  readonly sqlite: Database.Database;
}

export interface StoreOptions {
  readonly dataDir: string;
  /** Folder of the drizzle-kit migrations. */
  readonly migrationsDir: string;
}

/**
 * Opens the database of a data directory and brings it up to date. Committed means on the disk: write-ahead log with
 * full synchronisation.
 * @throws CoreError START_DATA_DIR, START_DATABASE_NEWER
 */
export function openStore({ dataDir, migrationsDir }: StoreOptions): Store {
  const file = join(dataDir, 'zeitpunkt.sqlite');
  let sqlite: Database.Database;
  try {
    mkdirSync(dataDir, { recursive: true });
    accessSync(dataDir, constants.W_OK);
    sqlite = new Database(file);
    sqlite.pragma('journal_mode = WAL');
  } catch (error) {
    throw new CoreError('START_DATA_DIR', `The data directory ${dataDir} cannot be written: ${(error as Error).message}.`);
  }
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  sqlite.pragma('secure_delete = ON'); // what is deleted is overwritten, not only unlinked
  try {
    refuseNewer(sqlite, migrationsDir, file);
    const db = drizzle({ client: sqlite });
    migrate(db, { migrationsFolder: migrationsDir });
    return { db, sqlite };
  } catch (error) {
    sqlite.close();
    throw error;
  }
}

/** A migration that this version does not know was made by a newer one: its data must not be touched. */
function refuseNewer(sqlite: Database.Database, migrationsDir: string, file: string): void {
  const known = JSON.parse(readFileSync(join(migrationsDir, 'meta', '_journal.json'), 'utf8')) as { entries: { when: number }[] };
  const newestKnown = Math.max(...known.entries.map((entry) => entry.when));
  const hasTable = sqlite.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = '__drizzle_migrations'").get();
  if (!hasTable) return;
  const { newest } = sqlite.prepare('SELECT max(created_at) AS newest FROM __drizzle_migrations').get() as { newest: number | null };
  if (newest !== null && newest > newestKnown) {
    throw new CoreError(
      'START_DATABASE_NEWER',
      `The database ${file} was written by a newer version of Zeitpunkt; start that version instead. Nothing was changed.`,
    );
  }
}

/** Deletes something so that it is gone from the files too: overwritten in the database, and not left in its log. */
export function reallyDelete({ sqlite }: Store, work: () => void): void {
  sqlite.transaction(work)();
  sqlite.pragma('wal_checkpoint(TRUNCATE)');
}
