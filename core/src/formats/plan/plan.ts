import type { Format, Stored } from '../format.js';

/** Version 1 knew no lessons beside the series. */
const toVersion2 = (data: Stored): Stored => ({ ...data, beside: [] });

/** What is planned for a class; see ClassPlan. */
export const planFormat: Format = {
  name: 'plan of',
  migrations: [toVersion2],
  carriesVersion: false,
  unreadable: 'PLAN_UNREADABLE',
};
