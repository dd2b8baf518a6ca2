// The lesson at hand, as it is edited and kept: recording and its transcript work on the same one.
export { LessonStore } from './lesson-store';
