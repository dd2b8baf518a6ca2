import type { Tongue } from './pack.js';

const FORMATS = {
  en: new Intl.ListFormat('en-GB', { type: 'conjunction' }),
  de: new Intl.ListFormat('de', { type: 'conjunction' }),
} as const satisfies Record<Tongue, Intl.ListFormat>;

/** "9:25, 9:40 and 9:55", as it is said. */
export const listed = (things: readonly string[], tongue: Tongue): string => FORMATS[tongue].format(things);
