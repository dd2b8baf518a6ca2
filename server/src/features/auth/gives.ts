// What other features may know of who is signed in.
export { isFirstTeacher, mustBeFirst } from './first-teacher.js';
export type { RequireTeacher } from './guard.js';
export type { LoginLines } from './login-lines.js';
