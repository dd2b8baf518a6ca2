import { SqliteError } from 'better-sqlite3';

/** Whether a write failed because its primary key is in use: an id that a client made is another row's already. */
export function isKeyTaken(error: unknown): boolean {
  return error instanceof SqliteError && error.code === 'SQLITE_CONSTRAINT_PRIMARYKEY';
}
