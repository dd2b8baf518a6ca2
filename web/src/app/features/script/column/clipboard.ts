const FIELDS = 'input, textarea, select';

/** Whether a copy or a paste belongs to a field that is typed in. */
export const isTyping = (event: Event): boolean => (event.target as Element).closest(FIELDS) !== null;

/** What was copied as data; a text that is none is an object without anything. */
export function asObject(text: string): object {
  try {
    const data: unknown = JSON.parse(text);
    return typeof data === 'object' && data !== null && !Array.isArray(data) ? data : {};
  } catch {
    return {};
  }
}
