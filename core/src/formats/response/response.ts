import type { Format } from '../format.js';

/** What a pupil gave to an item; see Response. */
export const responseFormat: Format = { name: 'response of', migrations: [], carriesVersion: false, unreadable: 'RESPONSE_UNREADABLE' };
