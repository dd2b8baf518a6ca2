import { chosenFile, ownFile } from './film-file';

/** As much of a stream as a film needs: jsdom has none. */
class Stream {
  constructor(private readonly sink: { write(piece: unknown): unknown }) {}
  getWriter() {
    return { write: async (piece: unknown) => this.sink.write(piece) };
  }
}
Object.assign(globalThis, { WritableStream: Stream });

/** The browser's own folder, as a test sees it: what was written, and what was taken away. */
function folderOf(access: Record<string, unknown>, names: readonly string[] = []) {
  const removed: string[] = [];
  const folder = {
    getDirectoryHandle: async () => folder,
    getFileHandle: async () => ({ createSyncAccessHandle: async () => access }),
    keys: async function* () {
      yield* names;
    },
    removeEntry: async (name: string) => {
      if (name === 'in-use.mp4') throw new DOMException('', 'NoModificationAllowedError');
      removed.push(name);
    },
  };
  Object.defineProperty(navigator, 'storage', { configurable: true, value: { getDirectory: async () => folder } });
  return removed;
}

const piece = (position: number, bytes = 3) => ({ type: 'write' as const, data: new Uint8Array(bytes), position });

test('a film of the browser’s own is written where each piece belongs, and old ones make room', async () => {
  const wrote: [number, number][] = [];
  const removed = folderOf(
    {
      truncate: jest.fn(),
      write: (data: Uint8Array, { at }: { at: number }) => (wrote.push([at, data.byteLength]), data.byteLength),
      getSize: () => 12,
      flush: jest.fn(),
      close: jest.fn(),
    },
    ['old.mp4', 'in-use.mp4'],
  );
  const file = await ownFile('new.mp4');
  const writer = file.writable.getWriter();
  await writer.write(piece(0, 9));
  await writer.write(piece(4));
  expect(wrote).toEqual([
    [0, 9],
    [4, 3],
  ]);
  expect([await file.close(), file.name, removed]).toEqual([12, 'new.mp4', ['old.mp4']]);
});

test('on a full disk writing fails, and what there is of the film is deleted', async () => {
  const removed = folderOf({ truncate: jest.fn(), write: () => 1, close: jest.fn() });
  const file = await ownFile('new.mp4');
  await expect(file.writable.getWriter().write(piece(0))).rejects.toMatchObject({ name: 'QuotaExceededError' });
  await file.drop();
  expect(removed).toEqual(['new.mp4']);
});

test('a file that was chosen is left as it was when the film is given up', async () => {
  const stream = { write: jest.fn(), close: jest.fn(), abort: jest.fn() };
  const handle = { createWritable: async () => stream, getFile: async () => ({ size: 7 }) } as unknown as FileSystemFileHandle;
  const file = await chosenFile(handle);
  await file.writable.getWriter().write(piece(5));
  expect(stream.write).toHaveBeenCalledWith({ type: 'write', data: new Uint8Array(3), position: 5 });
  await file.drop();
  expect([stream.abort.mock.calls.length, stream.close.mock.calls.length]).toEqual([1, 0]);
  expect([await file.close(), file.name]).toEqual([7, null]);
});
