import type { Database } from 'better-sqlite3';
import { CoreError } from '@zeitpunkt/core/errors';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sqliteCode } from './sqlite-code.js';

/**
 * Refuses a database that is not a sound school of this version or an earlier one, before anything in it is touched.
 * @throws CoreError START_DATABASE_DAMAGED, START_DATABASE_FOREIGN, START_DATABASE_NEWER
 */
export function checkSchool(sqlite: Database, file: string, migrationsDir: string): void {
  const damage = damageOf(sqlite);
  if (damage !== null) {
    throw new CoreError(
      'START_DATABASE_DAMAGED',
      `The database ${file} is damaged (${damage}). Bring it back from a backup, or move it away to begin anew. Nothing was changed.`,
      { file, damage },
    );
  }
  const tables = sqlite.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all();
  if (!tables.includes('__drizzle_migrations') || !tables.includes('live_session')) {
    throw new CoreError(
      'START_DATABASE_FOREIGN',
      `The database ${file} is ${tables.length === 0 ? 'empty' : 'of another program'}. Move it away, or choose another directory with --data. Nothing was changed.`,
      { file, why: tables.length === 0 ? 'empty' : 'of another program' },
    );
  }
  const { entries } = JSON.parse(readFileSync(join(migrationsDir, 'meta', '_journal.json'), 'utf8')) as { entries: { when: number }[] };
  const known = entries.map(({ when }) => when);
  const done = sqlite.prepare('SELECT created_at FROM __drizzle_migrations ORDER BY created_at').pluck().all().map(Number);
  // A migration that this version does not know was made by a newer one: its data must not be touched.
  if (done.some((when) => when > Math.max(...known))) {
    throw new CoreError(
      'START_DATABASE_NEWER',
      `The database ${file} was written by a newer version of Zeitpunkt; start that version instead. Nothing was changed.`,
      { file },
    );
  }
}

/** What is wrong with the pages of a database, in SQLite's words; null where nothing is. */
function damageOf(sqlite: Database): string | null {
  try {
    const [first] = sqlite.prepare('PRAGMA quick_check(1)').pluck().all();
    return first === 'ok' ? null : String(first).split('\n')[0]!;
  } catch (error) {
    if (/^SQLITE_(CORRUPT|NOTADB)/.test(sqliteCode(error))) return (error as Error).message;
    throw error;
  }
}
