// What other features may ask of classes and pupils, and do to them.
export { ClassLists } from './class-lists.js';
export { findPupil, insertClass, insertPupils, mustOwnClass, mustOwnPupil, ownClass, record, simulatedClassOf } from './queries.js';
