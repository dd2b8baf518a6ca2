import type { Format, Stored } from '../format.js';

/** Version 1 knew no lessons beside the series; a plan that is sent carries no version, and may have some. */
const toVersion2 = (data: Stored): Stored => ({ beside: [], ...data });

/** Version 2 knew no times of the day at which lessons begin. */
const toVersion3 = (data: Stored): Stored => ({ times: [], ...data });

/** What is planned for a class; see ClassPlan. */
export const planFormat: Format = {
  name: 'plan of',
  migrations: [toVersion2, toVersion3],
  carriesVersion: false,
  unreadable: 'PLAN_UNREADABLE',
};
