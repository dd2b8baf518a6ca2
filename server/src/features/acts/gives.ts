// What other features may write down.
export { noteAct, noteOnceAnHour } from './queries.js';
