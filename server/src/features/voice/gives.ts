// What other features may do with recordings.
export { copyRecording } from './queries.js';
