import { CoreError } from '@zeitpunkt/core/errors';
import { eq } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { teacher } from '../../tables/auth.js';
import { authQueries } from './queries.js';

/** Whether a teacher is the first of the school, who invites the others. */
export const isFirstTeacher = (db: Db, teacherId: string): boolean => authQueries(db).mayInvite(teacherId);

/** @throws CoreError NOT_ALLOWED where it is not the first teacher */
export function mustBeFirst(db: Db, teacherId: string): void {
  if (!isFirstTeacher(db, teacherId)) throw new CoreError('NOT_ALLOWED', 'Only the first teacher of this school can do this.');
}

/** Makes another teacher the first of the school. Runs inside a transaction of whoever calls. */
export function handOnFirst(db: Db, teacherId: string): void {
  db.update(teacher).set({ mayInvite: false }).run();
  db.update(teacher).set({ mayInvite: true }).where(eq(teacher.id, teacherId)).run();
}
