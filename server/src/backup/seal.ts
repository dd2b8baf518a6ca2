import { CoreError } from '@zeitpunkt/core/errors';
import { Decrypter, Encrypter } from 'age-encryption';
import { createReadStream, createWriteStream, openSync, readSync, closeSync, statSync } from 'node:fs';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as WebStream } from 'node:stream/web';

/** How a sealed file begins. Source: the age format, version 1, C2SP. */
const BEGINNING = 'age-encryption.org/v1\n';

/** A guess takes seconds. Source: the usual one of the age format. */
const USUAL_WORK_FACTOR = 18;

interface Moving {
  readonly from: string;
  readonly to: string;
  /** How much has gone through, 0 to 1. */
  readonly onProgress: (part: number) => void;
  readonly signal?: AbortSignal | undefined;
}

/** Whether a file was sealed with a passphrase, by how it begins. */
export function isSealed(file: string): boolean {
  const bytes = Buffer.alloc(BEGINNING.length);
  const opened = openSync(file, 'r');
  try {
    return readSync(opened, bytes) === bytes.length && bytes.toString('latin1') === BEGINNING;
  } finally {
    closeSync(opened);
  }
}

/**
 * Writes a file that only the passphrase opens.
 * @param workFactor how long one guess takes: 2 to the power of it, of scrypt; the file says it to whoever opens it
 */
export async function seal(passphrase: string, moving: Moving, workFactor = USUAL_WORK_FACTOR): Promise<void> {
  const encrypter = new Encrypter();
  encrypter.setScryptWorkFactor(workFactor);
  encrypter.setPassphrase(passphrase);
  await write(moving, async (plain) => encrypter.encrypt(plain));
}

/** Opens a sealed file. @throws CoreError BACKUP_SEALED for another passphrase, BACKUP_DAMAGED */
export async function unseal(passphrase: string, moving: Moving): Promise<void> {
  const decrypter = new Decrypter();
  decrypter.addPassphrase(passphrase);
  const reached = { inside: false };
  try {
    await write(moving, async (sealed) => {
      const plain = await decrypter.decrypt(sealed);
      reached.inside = true;
      return plain;
    });
  } catch (error) {
    if (moving.signal?.aborted || (error as { readonly code?: unknown }).code !== undefined) throw error;
    throw reached.inside
      ? new CoreError('BACKUP_DAMAGED', `The backup ${moving.from} is damaged or was cut off. Nothing was changed.`, { file: moving.from })
      : new CoreError('BACKUP_SEALED', `This passphrase does not open the backup ${moving.from}.`, { file: moving.from });
  }
}

/** Copies a file as it is. */
export async function copy(moving: Moving): Promise<void> {
  await write(moving, async (plain) => plain);
}

async function write({ from, to, onProgress, signal }: Moving, through: (bytes: WebBytes) => Promise<WebBytes>): Promise<void> {
  const bytes = statSync(from).size;
  let gone = 0;
  const counted = new Transform({
    transform(piece: Buffer, _encoding, done) {
      gone += piece.length;
      onProgress(Math.min(1, gone / Math.max(1, bytes)));
      done(null, piece);
    },
  });
  const source = createReadStream(from, { highWaterMark: 2 ** 20 });
  source.on('error', (error) => counted.destroy(error));
  const made = await through(Readable.toWeb(source.pipe(counted)) as unknown as WebBytes);
  const options = signal ? { signal } : {};
  await pipeline(Readable.fromWeb(made as unknown as WebStream<Uint8Array>), createWriteStream(to, { mode: 0o600, flush: true }), options);
}

/** Bytes as the browser's streams have them, which the library for sealing takes. */
type WebBytes = ReadableStream<Uint8Array>;
