import type { Format } from '../format.js';

/** What is kept of a take beside its sound; see Take. */
export const takeFormat: Format = { name: 'take of', migrations: [], carriesVersion: false, unreadable: 'TAKE_UNREADABLE' };
