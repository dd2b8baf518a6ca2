import { Zip, ZipDeflate } from 'fflate';
import { setImmediate } from 'node:timers/promises';

/** A file of an archive, in pieces as they are made. */
export interface ZipEntry {
  readonly path: string;
  readonly pieces: AsyncIterable<string> | readonly string[];
}

const PACKING = 6;

/** A ZIP archive of text files, piece by piece, so that a school year is never in memory whole and rooms go on. */
export async function* writeZip(entries: AsyncIterable<ZipEntry> | readonly ZipEntry[], at: Date): AsyncGenerator<Uint8Array> {
  const out: Uint8Array[] = [];
  const encoder = new TextEncoder();
  const zip = new Zip((error, piece) => {
    if (error) throw error;
    out.push(piece);
  });
  for await (const { path, pieces } of entries) {
    const file = new ZipDeflate(path, { level: PACKING });
    file.mtime = at;
    zip.add(file);
    for await (const piece of pieces) {
      file.push(encoder.encode(piece));
      yield* out.splice(0);
      await setImmediate();
    }
    file.push(new Uint8Array(0), true);
  }
  zip.end();
  yield* out.splice(0);
}
