// What other features may write down.
export { noteAct } from './queries.js';
