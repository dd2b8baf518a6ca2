// What the pages in docs/ that are written by the code need of it.
export { RUNGS } from '../ladder/registry.js';
export { DEFAULT_SETTINGS } from '../lesson/settings.js';
export { misconceptionOf } from '../misconceptions/registry.js';
export { markOf } from '../question-kinds/marking.js';
export { NOT_SURE } from '../question-kinds/not-sure.js';
export { predictionsOf } from '../question-kinds/predictions.js';
export { kindOf, QUESTION_KINDS, textOfResponse } from '../question-kinds/registry.js';
export { seededRng } from '../random/rng.js';
