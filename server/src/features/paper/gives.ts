// What other features may ask of sheets.
export { freeCode } from './free-code.js';
