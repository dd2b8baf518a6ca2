// What other features may ask of classes and pupils, and do to them.
export {
  changeClass,
  findPupil,
  insertClass,
  insertPupils,
  mustOwnClass,
  ownClass,
  pupilsOf,
  record,
  simulatedClassOf,
} from './queries.js';
