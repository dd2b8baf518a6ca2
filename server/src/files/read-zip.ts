import { CoreError } from '@zeitpunkt/core/errors';
import { Unzip, UnzipInflate, type UnzipFile } from 'fflate';
import { setImmediate } from 'node:timers/promises';
import { joined } from './joined.js';

/** What of an archive is read at most. */
export interface ZipLimits {
  readonly files: number;
  /** Of one file and of all together, unpacked. */
  readonly fileBytes: number;
  readonly totalBytes: number;
}

const SLICE = 64 * 1024;
const LONGEST_PATH = 255;
/** Signs that steer, begin a line, or turn the reading round, and halves of a sign. */
const UNSHOWABLE = /[\p{Cc}\p{Cs}\p{Zl}\p{Zp}\u202a-\u202e\u2066-\u2069]/gu;
const STORED = 0;
const DEFLATED = 8;

/**
 * The files of a ZIP archive by their paths. It is unpacked piece by piece and given up as soon as it is too much, whatever it
 * says of its own size; nothing is ever written to a path that stands in it.
 * @param isWanted files for which it says no are passed over without being unpacked
 * @throws CoreError FILE_UNREADABLE with what is wrong and where
 */
export async function readZip(
  bytes: Uint8Array,
  limits: ZipLimits,
  isWanted: (path: string) => boolean = () => true,
): Promise<ReadonlyMap<string, Uint8Array>> {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) throw unreadable('This is no ZIP archive.');
  /** By their paths, in their order; null for those that are passed over. */
  const files = new Map<string, Uint8Array[] | null>();
  let total = 0;
  let open = 0;
  /** What went wrong first: the unpacker says of whatever is thrown that the file is damaged. */
  let wrong = null as CoreError | null;
  const giveUp = (sentence: string) => (wrong ??= unreadable(sentence));
  const unzip = new Unzip((file) => begin(file));
  unzip.register(UnzipInflate);

  function begin(file: UnzipFile): void {
    const { name } = file;
    if (name.endsWith('/')) return;
    mustBePlain(name);
    if (files.has(name)) throw unreadable(`The archive holds “${name}” twice.`);
    if (files.size === limits.files) throw unreadable(`The archive holds more than ${limits.files} files.`);
    if (!isWanted(name)) return void files.set(name, null);
    if (file.compression !== STORED && file.compression !== DEFLATED)
      throw unreadable(`“${name}” is packed or locked in a way that is not read.`);
    const pieces: Uint8Array[] = [];
    let size = 0;
    files.set(name, pieces);
    open += 1;
    file.ondata = (error, piece, isLast) => {
      if (error) throw giveUp(`“${name}” in the archive is damaged.`);
      size += piece.length;
      total += piece.length;
      if (size > limits.fileBytes) throw giveUp(`“${name}” is larger than ${megabytes(limits.fileBytes)} when it is unpacked.`);
      if (total > limits.totalBytes) throw giveUp(`The archive is larger than ${megabytes(limits.totalBytes)} when it is unpacked.`);
      pieces.push(piece);
      if (isLast) open -= 1;
    };
    file.start();
  }

  for (let from = 0; from < bytes.length; from += SLICE) {
    try {
      unzip.push(bytes.subarray(from, from + SLICE), from + SLICE >= bytes.length);
    } catch (error) {
      throw wrong ?? (error instanceof CoreError ? error : unreadable('The archive is damaged.'));
    }
    await setImmediate(); // rooms go on while a large archive is read
  }
  if (open > 0) throw unreadable('The archive ends in the midst of a file.');
  return new Map([...files].flatMap(([name, pieces]) => (pieces ? [[name, joined(pieces)] as const] : [])));
}

/** A path within the archive and nowhere else, in signs that can be shown. */
function mustBePlain(name: string): void {
  const readable = name.replace(UNSHOWABLE, '\ufffd');
  const shown = readable.slice(0, 80);
  if (readable !== name) throw unreadable(`The archive holds a path with signs that nobody can read: “${shown}”.`);
  const parts = name.split('/');
  const isWithin = name.length <= LONGEST_PATH && !/\\|^[a-z]:/i.test(name) && parts.every((part) => !['', '.', '..'].includes(part));
  if (!isWithin) throw unreadable(`The archive holds a path that leads out of it: “${shown}”.`);
}

const megabytes = (bytes: number) => `${Math.round(bytes / 2 ** 20)} MB`;
const unreadable = (sentence: string) => new CoreError('FILE_UNREADABLE', sentence);
