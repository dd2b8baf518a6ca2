import type { ErrorCode } from '../errors.js';

/** Data as it came out of JSON, of whatever version. */
export type Stored = Readonly<Record<string, unknown>>;

/** What is wrong with some data, as the end of a sentence with the place: "must be number at /beats/3/timeSec"; null when nothing is. */
export type Check = (data: unknown) => string | null;

/**
 * A kind of data that is stored for years. Versions are counted from 1; data that carries no `formatVersion` is of version
 * 1. Each migration brings data one version on and is never changed again: what it needs of the code of its day it keeps
 * in its own folder.
 */
export interface Format<Context = undefined> {
  /** In sentences: "The lesson …". */
  readonly name: string;
  /** The version that is written now: one more than there are migrations. */
  readonly migrations: readonly ((data: Stored, context: Context) => Stored)[];
  /** Completes what needs no version of its own: switches added since are off. */
  readonly complete?: (data: Stored) => Stored;
  /** Whether the version is a member of the value itself; otherwise the door adds it when it writes. */
  readonly carriesVersion: boolean;
  readonly unreadable: ErrorCode;
}

export function versionNow(format: Format<never>): number {
  return format.migrations.length + 1;
}

/** Whether data is an object with members. */
export function isStored(data: unknown): data is Stored {
  return typeof data === 'object' && data !== null && !Array.isArray(data);
}

/** The objects of a list, whatever stands for it; a migration leaves what it does not understand to the check. */
export function storedList(data: unknown): readonly Stored[] {
  return Array.isArray(data) ? data.filter(isStored) : [];
}
