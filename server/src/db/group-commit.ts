import type { Database } from 'better-sqlite3';
import { isBusy, whenFree } from './when-free.js';

/** Runs a write inside the next shared transaction; resolves with its result once that is committed to the disk. */
export type GroupCommit = <T>(write: () => T) => Promise<T>;

interface Waiting {
  readonly write: () => unknown;
  readonly resolve: (value: never) => void;
  readonly reject: (error: unknown) => void;
}

/**
 * So many writes go to the disk at once, without those that come later in the same turn: whoever is first does not wait for a
 * thousand, and what is held for each of them is let go while it is young.
 */
const MOST_TOGETHER = 100;

/**
 * Writes that arrive within one turn of the event loop share one transaction and so one flush of the disk: as quick as a
 * single one when calm, many times the rate when a whole class answers at once. Where one of a batch fails, the batch is
 * played again with a savepoint for each, and that one is rejected alone. While another program holds the database a batch
 * waits, and those after it.
 */
export function groupCommit(sqlite: Database): GroupCommit {
  let waiting: Waiting[] = [];
  let committing = false;
  const savepoint = sqlite.transaction((write: () => unknown) => write());
  const together = sqlite.transaction((batch: readonly Waiting[]) =>
    batch.map(({ write, resolve }) => {
      const value = write();
      return () => resolve(value as never);
    }),
  );
  const apart = sqlite.transaction((batch: readonly Waiting[]) =>
    batch.map(({ write, resolve, reject }) => {
      try {
        const value = savepoint(write);
        return () => resolve(value as never);
      } catch (error) {
        if (!sqlite.inTransaction) throw error; // a full disk takes the whole transaction back
        return () => reject(error);
      }
    }),
  );

  const commit = (batch: readonly Waiting[]) => {
    try {
      return together.immediate(batch);
    } catch (error) {
      if (batch.length === 1 || isBusy(error)) throw error;
      return apart.immediate(batch);
    }
  };
  const settle = (settled: readonly (() => void)[]) => {
    for (const done of settled) done();
  };
  const flush = (): void => {
    if (committing || waiting.length === 0) return; // a batch waits for the database, or went before its turn was over
    const batch = waiting;
    waiting = [];
    try {
      settle(commit(batch));
    } catch (error) {
      committing = true;
      const again = isBusy(error) ? whenFree(() => commit(batch)) : Promise.reject(error as Error);
      void again
        .then(settle, (failed: unknown) => {
          for (const { reject } of batch) reject(failed); // the commit itself failed: nothing of the batch is kept
        })
        .finally(() => {
          committing = false;
          if (waiting.length > 0) setImmediate(flush);
        });
    }
  };

  return (write) =>
    new Promise((resolve, reject) => {
      waiting.push({ write, resolve, reject });
      if (waiting.length === 1) setImmediate(flush);
      else if (waiting.length >= MOST_TOGETHER && !sqlite.inTransaction) flush();
    });
}
