import type { Format } from '../format.js';

/** One answer in a file of results; see ResultRow. */
export const resultFormat: Format = { name: 'result in', migrations: [], carriesVersion: false, unreadable: 'RESULTS_UNREADABLE' };
