import { CoreError } from '@zeitpunkt/core/errors';
import type { FastifyRequest } from 'fastify';
import type { AuthRoutesOptions } from './options.js';
import { checkPassword } from './passwords.js';
import { authQueries } from './queries.js';

/**
 * The account of whoever is signed in, once the own password was given again: a browser that was left alone changes nothing.
 * @throws CoreError PASSWORD_WRONG, REQUEST_RATE
 */
export async function accountByPassword({ store, requireTeacher, tries }: AuthRoutesOptions, request: FastifyRequest, password: string) {
  const { id } = requireTeacher(request);
  const wasRight = await tries.begin(`own password of ${id}`, request.ip);
  const found = authQueries(store.db).teacherById(id);
  if (!found || !(await checkPassword(password, found.passwordHash))) throw new CoreError('PASSWORD_WRONG', 'That is not your password.');
  wasRight();
  return found;
}
