import { CoreError } from '@zeitpunkt/core/errors';

/**
 * The text of a file in UTF-8, without a byte-order mark.
 * @param named how the file is called in a sentence: "This file", "“plan.json”"
 * @throws CoreError FILE_UNREADABLE
 */
export function textOf(bytes: Uint8Array, named: string): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new CoreError('FILE_UNREADABLE', `${named} is not text in UTF-8.`, { named });
  }
}

/** The JSON in a file. @throws CoreError FILE_UNREADABLE */
export function jsonOf(bytes: Uint8Array, named: string): unknown {
  try {
    return JSON.parse(textOf(bytes, named)) as unknown;
  } catch (error) {
    if (error instanceof CoreError) throw error;
    throw new CoreError('FILE_UNREADABLE', `${named} is not JSON.`, { named });
  }
}
