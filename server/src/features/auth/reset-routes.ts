import { Me, PasswordReset, ResetMade } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import type { Feature } from '../../http/feature.js';
import { noteAct } from '../acts/gives.js';
import { mustBeFirst } from './first-teacher.js';
import { codeHash } from './invitation-code.js';
import type { AuthRoutesOptions } from './options.js';
import { hashPassword } from './passwords.js';
import { authQueries } from './queries.js';
import { makeReset } from './reset.js';

/** A teacher who cannot sign in any more: the first teacher makes a one-time code, with which a new password is chosen. */
export const resetRoutes: Feature<AuthRoutesOptions> = async (app, { store, requireTeacher, nowMs, logins, tries }) => {
  const { db } = store;
  const queries = authQueries(db);

  app.post(
    '/api/staff/:id/reset-code',
    { schema: { params: Type.Object({ id: Type.String() }), response: { 200: ResetMade } } },
    (request) => {
      const { id: byId } = requireTeacher(request);
      mustBeFirst(db, byId);
      const found = queries.teacherById(request.params.id);
      if (!found) throw new CoreError('TEACHER_UNKNOWN', 'No such colleague teaches at this school.');
      return store.sqlite.transaction(() => makeReset(db, found, byId, nowMs()))();
    },
  );

  // The second factor goes, too: whoever lost the phone is helped by the same code. All browsers are signed out.
  app.post('/api/reset', { schema: { body: PasswordReset, response: { 200: Me } } }, async (request, reply) => {
    const wasRight = await tries.begin(`reset from ${request.ip}`, request.ip);
    const { signInName, code, password } = request.body;
    const passwordHash = await hashPassword(password);
    const found = store.sqlite.transaction(() => {
      const one = queries.teacherBySignInName(signInName);
      if (!one || !queries.useReset(one.id, codeHash(code), nowMs())) {
        throw new CoreError(
          'RESET_WRONG',
          'No open code belongs to this sign-in name. It can be used once, within a day; ask for a new one.',
        );
      }
      queries.changeTeacher(one.id, { passwordHash, totpSecret: null, totpStep: 0 });
      noteAct(db, { act: 'password-reset', atMs: nowMs(), teacherId: one.id });
      return one;
    })();
    wasRight();
    logins.endOthers(found.id);
    logins.begin(request, reply, found.id);
    return { teacher: { id: found.id, name: found.name }, setUpNeeded: false };
  });
};
