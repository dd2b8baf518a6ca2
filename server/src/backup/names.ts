/** What a backup is called: of which school, from when, and whether it is sealed. */
export interface BackupName {
  readonly school: string;
  /** Milliseconds since 1970, on a whole second. */
  readonly atMs: number;
  readonly sealed: boolean;
}

const ENDING = '.sqlite';
const SEALED = '.sqlite.age';
/** What is being written ends so, with the number of the process that writes it. */
const PART = /\.part-(\d+)(?:-\w+)?$/;

/** A name of a school as files can have it. */
export const schoolInFiles = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
    .slice(0, 40) || 'school';

/** @example "zeitpunkt-tern-islands-2026-12-01T231500Z.sqlite" */
export function fileNameOf({ school, atMs, sealed }: BackupName): string {
  const at = new Date(atMs).toISOString().slice(0, 19).replaceAll(':', '');
  return `zeitpunkt-${schoolInFiles(school)}-${at}Z${sealed ? SEALED : ENDING}`;
}

/** What a file's name says; null for one that is no backup. */
export function readFileName(file: string): BackupName | null {
  const found = /^zeitpunkt-([a-z0-9-]+)-(\d{4}-\d\d-\d\d)T(\d\d)(\d\d)(\d\d)Z(\.sqlite(?:\.age)?)$/.exec(file);
  if (!found) return null;
  const [, school, day, hour, minute, second, ending] = found;
  return { school: school!, atMs: Date.parse(`${day}T${hour}:${minute}:${second}Z`), sealed: ending === SEALED };
}

/** The process that writes a file that is not whole yet; null where it is none. */
export const writerOf = (file: string): number | null => Number(PART.exec(file)?.[1]) || null;

/** How a file is called while it is written. */
export const partOf = (file: string, what = ''): string => `${file}.part-${process.pid}${what && `-${what}`}`;
