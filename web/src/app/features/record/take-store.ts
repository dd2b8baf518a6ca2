import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { StepRef } from '@zeitpunkt/core/lesson/step-ref';
import type { Take } from '@zeitpunkt/core/voice/take';

/** A take on this device: begun, and once it is over with its sound. */
export interface KeptTake {
  readonly id: string;
  readonly lessonId: string;
  readonly at: StepRef;
  readonly mime: string;
  /** The words of the script, and what the step was like when it was said; see Take. */
  readonly said: string;
  readonly fingerprint: string;
  readonly madeAtMs: number;
  /** The stage moves at this step: the voice goes with it from its beginning. */
  readonly moves: boolean;
  /** The take as it is kept, and its sound; null while it is being recorded or was cut off. */
  readonly whole: { readonly take: Take; readonly sound: ArrayBuffer } | null;
}

interface VoiceDb extends DBSchema {
  takes: { key: string; value: KeptTake; indexes: { lesson: string } };
  pieces: { key: [string, number]; value: { readonly takeId: string; readonly number: number; readonly bytes: ArrayBuffer } };
}

/** Where this browser keeps takes until the server has them. Every method may fail: the device may be full, or keep nothing. */
export class TakeStore {
  private opened: Promise<IDBPDatabase<VoiceDb>> | null = null;

  async put(take: KeptTake): Promise<void> {
    await (await this.db()).put('takes', take);
  }

  async putPiece(takeId: string, number: number, bytes: ArrayBuffer): Promise<void> {
    await (await this.db()).put('pieces', { takeId, number, bytes });
  }

  async takesOf(lessonId: string): Promise<KeptTake[]> {
    const takes = await (await this.db()).getAllFromIndex('takes', 'lesson', lessonId);
    return takes.sort((a, b) => a.madeAtMs - b.madeAtMs);
  }

  /** The pieces of a take, in order. */
  async pieces(takeId: string): Promise<ArrayBuffer[]> {
    const rows = await (await this.db()).getAll('pieces', allPieces(takeId));
    return rows.map(({ bytes }) => bytes);
  }

  /** Everything of a take is gone from this device. */
  async remove(takeId: string): Promise<void> {
    const work = (await this.db()).transaction(['takes', 'pieces'], 'readwrite');
    await Promise.all([work.objectStore('takes').delete(takeId), work.objectStore('pieces').delete(allPieces(takeId)), work.done]);
  }

  private db(): Promise<IDBPDatabase<VoiceDb>> {
    this.opened ??= openDB<VoiceDb>('zeitpunkt-voice', 1, {
      upgrade(db) {
        db.createObjectStore('takes', { keyPath: 'id' }).createIndex('lesson', 'lessonId');
        db.createObjectStore('pieces', { keyPath: ['takeId', 'number'] });
      },
    });
    this.opened.catch(() => (this.opened = null));
    return this.opened;
  }
}

const allPieces = (takeId: string) => IDBKeyRange.bound([takeId, 0], [takeId, Infinity]);
