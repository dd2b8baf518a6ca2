import type { Database } from 'better-sqlite3';

/** Runs a write inside the next shared transaction; resolves with its result once that is committed to the disk. */
export type GroupCommit = <T>(write: () => T) => Promise<T>;

interface Waiting {
  readonly write: () => unknown;
  readonly resolve: (value: never) => void;
  readonly reject: (error: unknown) => void;
}

/**
 * Writes that arrive within one turn of the event loop share one transaction and so one flush of the disk: as quick as a
 * single one when calm, many times the rate when a whole class answers at once. A write that fails is rolled back to its
 * own savepoint and rejected alone.
 */
export function groupCommit(sqlite: Database): GroupCommit {
  let waiting: Waiting[] = [];
  const savepoint = sqlite.transaction((write: () => unknown) => write());

  const flush = () => {
    const batch = waiting;
    waiting = [];
    const settle: (() => void)[] = [];
    try {
      sqlite.transaction(() => {
        for (const { write, resolve, reject } of batch) {
          try {
            const value = savepoint(write);
            settle.push(() => resolve(value as never));
          } catch (error) {
            settle.push(() => reject(error));
          }
        }
      })();
    } catch (error) {
      for (const { reject } of batch) reject(error); // the commit itself failed: nothing of the batch is kept
      return;
    }
    for (const done of settle) done();
  };

  return (write) =>
    new Promise((resolve, reject) => {
      waiting.push({ write, resolve, reject });
      if (waiting.length === 1) setImmediate(flush);
    });
}
