import type { Db } from '../../db/connection.js';
import { authQueries } from './queries.js';

/** Whether a teacher is the first of the school, who invites the others. */
export const isFirstTeacher = (db: Db, teacherId: string): boolean => authQueries(db).mayInvite(teacherId);
