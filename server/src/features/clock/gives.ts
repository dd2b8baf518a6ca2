// What day it is at this school.
export type { SchoolClock } from './school-clock.js';
