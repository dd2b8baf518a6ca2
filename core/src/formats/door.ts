import { CoreError } from '../errors.js';
import { isStored, versionNow, type Check, type Format, type Stored } from './format.js';

/**
 * Reads something stored, of any version ever written.
 * @param text JSON as it was stored; data that was parsed already is taken too
 * @param check what the newest version must fulfil
 * @param named what it is called, for the sentence: “Half past at the harbour”
 * @throws CoreError FORMAT_NEWER, or the code of the format with the path to what is wrong
 */
export function readThrough<T, Context>(format: Format<Context>, text: unknown, check: Check, named: string, context: Context): T {
  const what = `The ${format.name} ${named}`.trim();
  const unreadable = (why: string) => new CoreError(format.unreadable, `${what} cannot be read: ${why}.`, { what, why });
  const data = typeof text === 'string' ? parsed(text) : text;
  if (!isStored(data)) throw unreadable('it is no JSON object');
  const { formatVersion = 1 } = data;
  if (typeof formatVersion !== 'number' || !Number.isInteger(formatVersion) || formatVersion < 1) {
    throw unreadable('must be a whole number from 1 on at /formatVersion');
  }
  if (formatVersion > versionNow(format)) {
    throw new CoreError('FORMAT_NEWER', `${what} was saved by a newer version of Zeitpunkt; open it there.`, { what });
  }
  const value = upToDate(format, data, formatVersion, context);
  const problem = check(value);
  if (problem !== null) throw unreadable(problem);
  return value as T;
}

/** A value as it is stored, with its version: read again by {@link readThrough} for as long as there are versions. */
export function stamped(format: Format<never>, value: object): object {
  return format.carriesVersion ? value : { formatVersion: versionNow(format), ...value };
}

/** Data of some version brought to the newest. */
export function upToDate<Context>(format: Format<Context>, data: Stored, version: number, context: Context): Stored {
  const migrated = format.migrations.slice(version - 1).reduce((before, migrate) => migrate(before, context), data);
  const completed = format.complete?.(migrated) ?? migrated;
  if (format.carriesVersion) return { ...completed, formatVersion: versionNow(format as Format<never>) };
  const { formatVersion: _written, ...value } = completed;
  return value;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
