import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Waiting } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { readWaiting, writeWaiting } from '@zeitpunkt/core/formats/stored';
import isWaiting from '../../../generated/waiting';
import { ApiProblem } from '../../shared/api';

interface DeskDb extends DBSchema {
  outbox: { key: string; value: object };
}

/** An answer as a device kept it, of whatever version; null where it cannot be read any more. */
function readKept(kept: object): Waiting | null {
  try {
    return readWaiting<Waiting>(kept, (data) => (isWaiting(data) ? null : 'is not as expected'));
  } catch (error) {
    if (error instanceof CoreError) return null;
    throw error;
  }
}

/** A store that takes longer is not waited for, in milliseconds. */
const PATIENCE_MS = 1500;

const tooSlow = () =>
  new Promise<never>((_, reject) =>
    setTimeout(() => reject(new ApiProblem('STORE_SILENT', 'The store of this device does not answer.')), PATIENCE_MS),
  );

/**
 * Keeps responses on the device until the server has them, through reloads and lost lines. Some devices keep nothing, in a
 * private window for one; then the page goes on with what it has in memory.
 */
export class Outbox {
  private opened: Promise<IDBPDatabase<DeskDb>> | null = null;

  /** @returns whether the device keeps it */
  put(waiting: Waiting): Promise<boolean> {
    return this.whereKept(async (db) => {
      await db.put('outbox', writeWaiting(waiting));
      return true;
    }, false);
  }

  /** Everything that waits on this device and can be read, oldest first. */
  all(): Promise<Waiting[]> {
    return this.whereKept(async (db) => {
      const kept = await db.getAll('outbox');
      const all = kept.map(readKept).filter((one) => one !== null);
      return all.sort((a, b) => a.putAtMs - b.putAtMs);
    }, []);
  }

  /** What waits for this place, oldest first. What belongs to another place, or cannot be read any more, is cleared away. */
  waitingFor(participantId: string): Promise<Waiting[]> {
    return this.whereKept(async (db) => {
      const own: Waiting[] = [];
      for (const key of await db.getAllKeys('outbox')) {
        const waiting = readKept((await db.get('outbox', key)) ?? {});
        if (waiting?.participantId === participantId) own.push(waiting);
        else await db.delete('outbox', key);
      }
      return own.sort((a, b) => a.putAtMs - b.putAtMs);
    }, []);
  }

  remove(postId: string): Promise<void> {
    return this.whereKept((db) => db.delete('outbox', postId), undefined);
  }

  private async whereKept<T>(work: (db: IDBPDatabase<DeskDb>) => Promise<T>, otherwise: T): Promise<T> {
    try {
      this.opened ??= openDB<DeskDb>('zeitpunkt-desk', 1, {
        upgrade: (db) => void db.createObjectStore('outbox', { keyPath: 'id' }),
      });
      const opened = this.opened;
      // An answer does not wait for a store that never answers; the work goes on, and may still be done.
      return await Promise.race([opened.then(work), tooSlow()]);
    } catch {
      this.opened = null; // it may have been a moment: the next answer tries again
      return otherwise; // the device keeps nothing: said on the screen while an answer waits
    }
  }
}
