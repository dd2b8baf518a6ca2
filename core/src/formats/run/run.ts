import type { Format } from '../format.js';

/** Where a pupil stands in a lesson at own pace; see Run. */
export const runFormat: Format = { name: 'place of', migrations: [], carriesVersion: false, unreadable: 'RUN_UNREADABLE' };
