import type { StreamTargetChunk } from 'mediabunny';
import { FILM_FOLDER } from './film-messages';

/** A file that is written as it is made. */
export interface FilmFile {
  readonly writable: WritableStream<StreamTargetChunk>;
  /** Its name among the browser's own files; null where it was chosen by the teacher. */
  readonly name: string | null;
  /** All of it is there: it is closed. @returns how large it is, in bytes */
  close(): Promise<number>;
  /** What there is of it is deleted. */
  drop(): Promise<void>;
}

/** The file that the teacher chose. */
export async function chosenFile(handle: FileSystemFileHandle): Promise<FilmFile> {
  const stream = await handle.createWritable();
  return {
    name: null,
    writable: new WritableStream({ write: ({ data, position }) => stream.write({ type: 'write', data, position }) }),
    async close() {
      await stream.close();
      return (await handle.getFile()).size;
    },
    drop: () => stream.abort(), // what stood in the file before stays
  };
}

/** Workers alone can write into a file of the browser's own at any place; the types of pages do not know it. */
interface WithAccess {
  createSyncAccessHandle(): Promise<{
    truncate(bytes: number): void;
    write(data: Uint8Array, where: { readonly at: number }): number;
    getSize(): number;
    flush(): void;
    close(): void;
  }>;
}

/** A file of the browser's own, on the disk like any other. */
export async function ownFile(name: string): Promise<FilmFile> {
  const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle(FILM_FOLDER, { create: true });
  await clearAway(folder);
  const handle = await folder.getFileHandle(name, { create: true });
  const access = await (handle as unknown as WithAccess).createSyncAccessHandle();
  access.truncate(0);
  return {
    name,
    writable: new WritableStream({
      write({ data, position }) {
        // A disk that is full takes less than it is given.
        if (access.write(data, { at: position }) < data.byteLength) throw new DOMException('', 'QuotaExceededError');
      },
    }),
    async close() {
      const bytes = access.getSize();
      access.flush();
      access.close();
      return bytes;
    },
    async drop() {
      access.close();
      await folder.removeEntry(name);
    },
  };
}

/** Films that were downloaded long since take room on the disk; one that another window makes just now stays. */
async function clearAway(folder: FileSystemDirectoryHandle): Promise<void> {
  const names: string[] = [];
  for await (const name of (folder as unknown as { keys(): AsyncIterable<string> }).keys()) names.push(name);
  for (const name of names) {
    try {
      await folder.removeEntry(name);
    } catch (error) {
      if (!(error instanceof DOMException) || error.name !== 'NoModificationAllowedError') throw error;
    }
  }
}
