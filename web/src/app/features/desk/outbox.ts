import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { ResponsePost } from '@zeitpunkt/contract';
import isResponsePost from '../../../generated/response-post';

/** A response that the server has not acknowledged yet, with the place in the room that it belongs to. */
export interface Waiting {
  readonly participantId: string;
  readonly post: ResponsePost;
}

interface DeskDb extends DBSchema {
  outbox: { key: string; value: Waiting & { id: string; putAtMs: number } };
}

/**
 * Keeps responses on the device until the server has them, through reloads and lost lines. Some devices keep nothing, in a
 * private window for one; then the page goes on with what it has in memory.
 */
export class Outbox {
  private opened: Promise<IDBPDatabase<DeskDb>> | null = null;

  /** @returns whether the device keeps it */
  put(waiting: Waiting): Promise<boolean> {
    return this.whereKept(async (db) => {
      await db.put('outbox', { ...waiting, id: waiting.post.id, putAtMs: Date.now() });
      return true;
    }, false);
  }

  /** What waits for this place, oldest first. What belongs to another place, or cannot be read any more, is cleared away. */
  waitingFor(participantId: string): Promise<Waiting[]> {
    return this.whereKept(async (db) => {
      const own: (Waiting & { putAtMs: number })[] = [];
      for (const entry of await db.getAll('outbox')) {
        if (entry.participantId === participantId && isResponsePost(entry.post)) own.push(entry);
        else await db.delete('outbox', entry.id);
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
      return await work(await this.opened);
    } catch {
      return otherwise; // the device keeps nothing: said on the screen while an answer waits
    }
  }
}
