import type { pasteClip } from '@zeitpunkt/core/edit/edit';
import type { Clip } from '@zeitpunkt/contract';
import { ask } from '../../../shared/api';

const FIELDS = 'input, textarea, select';

/** Whether a copy or a paste belongs to a field that is typed in. */
export const isTyping = (event: Event): boolean => (event.target as Element).closest(FIELDS) !== null;

/** What was copied as data; a text that is none is an object without anything. */
function asObject(text: string): object {
  try {
    const data: unknown = JSON.parse(text);
    return typeof data === 'object' && data !== null && !Array.isArray(data) ? data : {};
  } catch {
    return {};
  }
}

/** The beats that a paste event brings, as the server reads them. @throws ApiProblem with why they are none */
export async function clipIn(event: ClipboardEvent): Promise<Parameters<typeof pasteClip>[0]> {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  return (await ask<Clip>('POST', '/api/clips', { clip: asObject(text) })) as Parameters<typeof pasteClip>[0];
}
