// What other features may ask of lessons, and how one is added or taken for teaching.
export { pinForTeaching } from './pin.js';
export { insertLesson, lessonById, mustOwnLesson, nextPlace, ownLesson } from './queries.js';
export { insertTaught } from './taught.js';
