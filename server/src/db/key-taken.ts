import { sqliteCode } from './sqlite-code.js';

/** Whether a write failed because its key is in use: an id that a client made is another row's already. */
export function isKeyTaken(error: unknown): boolean {
  return /^SQLITE_CONSTRAINT_(PRIMARYKEY|UNIQUE)$/.test(sqliteCode(error));
}
