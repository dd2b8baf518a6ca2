// What other features keep of what a teacher put right.
export { reviewQueries } from './queries.js';
