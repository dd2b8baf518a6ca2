import { CoreError } from '@zeitpunkt/core/errors';
import { statfsSync } from 'node:fs';

/** A little more than is needed: the system itself writes, too. */
const SPARE_BYTES = 8 * 2 ** 20;

const inMegabytes = (bytes: number) => Math.ceil(bytes / 2 ** 20);

/** There must be room for so many bytes. @throws CoreError BACKUP_NO_ROOM */
export function mustHaveRoom(directory: string, bytes: number): void {
  const { bavail, bsize } = statfsSync(directory);
  const free = bavail * bsize;
  if (free < bytes + SPARE_BYTES) throw noRoom(directory, inMegabytes(bytes + SPARE_BYTES), inMegabytes(free));
}

const noRoom = (directory: string, needed: number, free: number) =>
  new CoreError(
    'BACKUP_NO_ROOM',
    `There is no room in ${directory}: ${needed} MB are needed, and ${free} MB are free. Nothing was changed.`,
    {
      directory,
      needed,
      free,
    },
  );

/** What is said of an error of the disk; the error itself where it is another one. */
export function asNoRoom(error: unknown, directory: string): unknown {
  const code = (error as { readonly code?: unknown }).code;
  if (code !== 'ENOSPC' && code !== 'EDQUOT' && code !== 'SQLITE_FULL') return error;
  return new CoreError('BACKUP_NO_ROOM', `The disk of ${directory} is full. Nothing was changed.`, { directory });
}
