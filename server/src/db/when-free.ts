import { CoreError } from '@zeitpunkt/core/errors';
import { problemOfLimit } from './held-limits.js';
import { sqliteCode } from './sqlite-code.js';

/** How long a write is tried again while another program holds the database, in milliseconds, and how often. */
const PATIENCE_MS = 3000;
const PAUSE_MS = 15;

/** Whether something failed because another program holds the database. */
export function isBusy(error: unknown): boolean {
  return /^SQLITE_(BUSY|LOCKED)/.test(sqliteCode(error));
}

/** The problem that a failed write is, in words for whoever asked for it; the error itself where it is none of the store's. */
export function problemOfStore(error: unknown): unknown {
  if (isBusy(error)) {
    return new CoreError(
      'STORE_BUSY',
      'Another program holds the school’s database just now. Nothing was lost: please try again in a moment.',
    );
  }
  if (/^SQLITE_(FULL|IOERR|READONLY|CANTOPEN)/.test(sqliteCode(error))) {
    return new CoreError(
      'STORE_FULL',
      'The server cannot write to its disk just now; perhaps it is full, or the school has all the room it may have. Please make room and try again.',
    );
  }
  return problemOfLimit(error) ?? error;
}

/**
 * Does some work on the database, and does it again while another program holds it, without keeping anybody else waiting.
 * @param work leaves nothing behind when it fails
 * @throws CoreError STORE_BUSY, STORE_FULL, or what the work throws
 */
export async function whenFree<T>(work: () => T | Promise<T>): Promise<T> {
  const until = performance.now() + PATIENCE_MS;
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!isBusy(error) || performance.now() > until) throw problemOfStore(error);
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
    }
  }
}
