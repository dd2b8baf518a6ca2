import { MyAccount, NameChange, PasswordChange } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import type { FastifyRequest } from 'fastify';
import type { Feature } from '../../http/feature.js';
import { noteAct } from '../acts/gives.js';
import type { AuthRoutesOptions } from './options.js';
import { accountByPassword } from './own-password.js';
import { hashPassword } from './passwords.js';
import { authQueries } from './queries.js';
import { mustBeFreeToSignIn } from './sign-in-name.js';

const ACCOUNT = { response: { 200: MyAccount } };

/** A teacher's own account: names, password, and the browsers that are signed in. */
export const accountRoutes: Feature<AuthRoutesOptions> = async (app, options) => {
  const { store, requireTeacher, nowMs, logins } = options;
  const queries = authQueries(store.db);
  const accountOf = (request: FastifyRequest): MyAccount => {
    const { name, signInName, totpSecret, mayInvite, id } = queries.teacherById(requireTeacher(request).id)!;
    return { name, signInName, secondFactor: totpSecret !== null, isFirst: mayInvite, logins: logins.of(request, id) };
  };

  app.get('/api/account', { schema: ACCOUNT }, accountOf);

  app.post('/api/account/names', { schema: { body: NameChange, ...ACCOUNT } }, (request) => {
    const { id } = requireTeacher(request);
    const name = request.body.name.trim();
    const signInName = request.body.signInName.trim().toLowerCase();
    if (name === '' || signInName === '') throw new CoreError('REQUEST_SHAPE', 'A teacher needs a name and a sign-in name.');
    mustBeFreeToSignIn(queries, signInName, id);
    queries.changeTeacher(id, { name, signInName });
    return accountOf(request);
  });

  // Whoever else knew the password is out.
  app.post('/api/account/password', { schema: { body: PasswordChange, ...ACCOUNT } }, async (request) => {
    const { id } = await accountByPassword(options, request, request.body.password);
    const passwordHash = await hashPassword(request.body.newPassword);
    queries.changeTeacher(id, { passwordHash });
    noteAct(store.db, { act: 'password-changed', atMs: nowMs(), teacherId: id });
    logins.endOthers(id, request);
    return accountOf(request);
  });

  app.post('/api/account/logins/:id/end', { schema: { params: Type.Object({ id: Type.String() }), ...ACCOUNT } }, (request) => {
    logins.endOne(requireTeacher(request).id, request.params.id);
    return accountOf(request);
  });

  app.post('/api/account/logins/end-others', { schema: ACCOUNT }, (request) => {
    const { id } = requireTeacher(request);
    logins.endOthers(id, request);
    noteAct(store.db, { act: 'signed-out-elsewhere', atMs: nowMs(), teacherId: id });
    return accountOf(request);
  });
};
