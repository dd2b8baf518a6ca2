// What other features may write down.
export { noteAct, noteOnceAnHour, pupilsDeletedAtMs } from './queries.js';
