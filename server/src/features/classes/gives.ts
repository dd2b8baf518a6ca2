// What other features may ask of classes and pupils, and do to them.
export { ClassLists } from './class-lists.js';
export { changeClass, findPupil, insertClass, insertPupils, mustOwnClass, ownClass, record, simulatedClassOf } from './queries.js';
