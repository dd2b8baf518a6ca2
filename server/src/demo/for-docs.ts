// What the page on diagnosis is made from: the demo as it is taught, and its answers as the class review reads them.
export { openStore } from '../db/connection.js';
export { allClasses } from '../features/classes/queries.js';
export { pupilsOf } from '../sessions/queries/pupils.js';
export { InsightLines } from '../features/review/insight-lines.js';
export { seedDemo } from './seed.js';
export { profileAfter, TAUGHT } from './story.js';
