// Results as rows of a table, out and in.
export { AT_ONCE } from './columns.js';
export { resultRows } from './rows.js';
export { readyRows, takeResults, type ReadyRow } from './take-in.js';
