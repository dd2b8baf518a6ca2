/** SQLite's code of an error, "SQLITE_BUSY" for one; empty where it is no error of SQLite. */
export function sqliteCode(error: unknown): string {
  const code = (error as { readonly code?: unknown } | null)?.code;
  return typeof code === 'string' && code.startsWith('SQLITE_') ? code : '';
}
