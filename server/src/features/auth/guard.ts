import { CoreError } from '@zeitpunkt/core/errors';
import type { Teacher } from '@zeitpunkt/contract';
import type { FastifyRequest } from 'fastify';
import type { Db } from '../../db/connection.js';
import { tokenHash } from '../../http/tokens.js';
import { authQueries } from './queries.js';

export const TEACHER_COOKIE = 'zp_teacher';
/** When a teacher was last here is written down no more often. */
const SEEN_EVERY_MS = 10 * 60_000;

/** The teacher who is signed in, or null. */
export type FindTeacher = (request: FastifyRequest) => Teacher | null;

/** The teacher who is signed in. @throws CoreError SIGN_IN_NEEDED */
export type RequireTeacher = (request: FastifyRequest) => Teacher;

export function teacherGuard(db: Db, nowMs: () => number): { find: FindTeacher; require: RequireTeacher } {
  const queries = authQueries(db);
  const find: FindTeacher = (request) => {
    const hash = tokenHash(request.cookies[TEACHER_COOKIE] ?? '');
    const found = queries.teacherByToken(hash, nowMs());
    if (!found) return null;
    const { id, name, seenAtMs } = found;
    if (nowMs() - seenAtMs > SEEN_EVERY_MS) queries.seen(hash, id, nowMs());
    return { id, name };
  };
  return {
    find,
    require: (request) => {
      const teacher = find(request);
      if (!teacher) throw new CoreError('SIGN_IN_NEEDED', 'Please sign in first.');
      return teacher;
    },
  };
}
