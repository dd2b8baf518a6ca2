import { readFileName } from './names.js';

const DAY_MS = 86_400_000;

/** So many are kept, where nothing else is said: a fortnight of daily ones. */
export const USUAL_MOST = 14;

/** How many backups of a school are kept, and for how many days; null for all, and for ever. */
export interface Keeping {
  readonly most: number | null;
  readonly days: number | null;
}

/**
 * Which of some files are kept no longer: backups of this school beyond the newest so many, and those that are too old. The
 * newest is kept whatever its age: a school that was closed for a year still has one.
 * @param nowMs milliseconds since 1970
 */
export function notKept(files: readonly string[], school: string, { most, days }: Keeping, nowMs: number): string[] {
  const ours = files
    .flatMap((file) => {
      const name = readFileName(file);
      return name?.school === school ? [{ file, atMs: name.atMs }] : [];
    })
    .sort((one, other) => other.atMs - one.atMs);
  return ours.slice(1).flatMap(({ file, atMs }, index) => {
    const isBeyond = most !== null && index + 1 >= most;
    const isOld = days !== null && nowMs - atMs > days * DAY_MS;
    return isBeyond || isOld ? [file] : [];
  });
}
