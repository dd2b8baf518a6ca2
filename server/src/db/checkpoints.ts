import type { Database } from 'better-sqlite3';

/** Whether nothing is being written is looked at so often, in milliseconds. */
const LOOK_MS = 500;
/** So many rows that were written are worth moving from the log into the database. */
const WORTH_ROWS = 200;
/**
 * Pages of the log at which it is moved whether it is calm or not: 32 MB. A page that many answers changed, as those of an index,
 * is moved once, so a longer log is also less work.
 */
const LONGEST_PAGES = 8000;

/**
 * Moves what was written from the log into the database while nobody writes, instead of within the commit of whoever comes when
 * the log has become long: in a flash of a thousand answers that is a sixth of what a commit takes. What is committed is on the
 * disk either way.
 * Ends with the connection. Source: SQLite, Write-Ahead Logging, 3.2 and 3.3.
 */
export function checkpointWhenCalm(sqlite: Database): void {
  sqlite.pragma(`wal_autocheckpoint = ${LONGEST_PAGES}`);
  const written = sqlite.prepare('SELECT total_changes()').pluck();
  let [before, moved] = [0, 0];
  const timer = setInterval(() => {
    if (!sqlite.open) return clearInterval(timer);
    const now = written.get() as number;
    const isCalm = now === before;
    before = now;
    if (!isCalm || now - moved < WORTH_ROWS || sqlite.inTransaction) return;
    sqlite.pragma('wal_checkpoint(PASSIVE)'); // moves what no reader needs any more, waits for nobody
    moved = now;
  }, LOOK_MS);
  timer.unref();
}
