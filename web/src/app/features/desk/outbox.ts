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

/** Keeps responses on the device until the server has them, through reloads and lost lines. */
export class Outbox {
  private readonly db: Promise<IDBPDatabase<DeskDb>> = openDB<DeskDb>('zeitpunkt-desk', 1, {
    upgrade: (db) => void db.createObjectStore('outbox', { keyPath: 'id' }),
  });

  async put(waiting: Waiting): Promise<void> {
    await (await this.db).put('outbox', { ...waiting, id: waiting.post.id, putAtMs: Date.now() });
  }

  /** What waits for this place, oldest first. What belongs to another place, or cannot be read any more, is cleared away. */
  async waitingFor(participantId: string): Promise<Waiting[]> {
    const db = await this.db;
    const own: (Waiting & { putAtMs: number })[] = [];
    for (const entry of await db.getAll('outbox')) {
      if (entry.participantId === participantId && isResponsePost(entry.post)) own.push(entry);
      else await db.delete('outbox', entry.id);
    }
    return own.sort((a, b) => a.putAtMs - b.putAtMs);
  }

  async remove(postId: string): Promise<void> {
    await (await this.db).delete('outbox', postId);
  }
}
