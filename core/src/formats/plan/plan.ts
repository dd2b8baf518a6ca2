import type { Format } from '../format.js';

/** What is planned for a class; see ClassPlan. */
export const planFormat: Format = { name: 'plan of', migrations: [], carriesVersion: false, unreadable: 'PLAN_UNREADABLE' };
