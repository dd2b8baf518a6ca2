import { CoreError } from '@zeitpunkt/core/errors';
import { Me, SignIn } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import { FailedTries } from '../../http/failed-tries.js';
import { nameFeatures, type Feature } from '../../http/feature.js';
import { Logins } from './logins.js';
import { newcomerRoutes } from './newcomer-routes.js';
import type { AuthOptions, AuthRoutesOptions } from './options.js';
import { checkPassword } from './passwords.js';
import { authQueries } from './queries.js';
import { resetRoutes } from './reset-routes.js';
import { stepOfCode } from './second-factor.js';
import { accountRoutes } from './account-routes.js';
import { secondFactorRoutes } from './second-factor-routes.js';
import { noteAct, noteOnceAnHour } from '../acts/gives.js';

nameFeatures({ newcomerRoutes, accountRoutes, secondFactorRoutes, resetRoutes });

/** Sign-in and sign-out; how teachers come in routes of their own. */
export const authPlugin: Feature<AuthOptions> = async (app, options) => {
  const { store, nowMs } = options;
  const queries = authQueries(store.db);
  const tries = new FailedTries(options.limits.signIn, nowMs);
  const codeTries = new FailedTries(options.limits.secondFactor, nowMs);
  const logins = new Logins(options);
  const shared: AuthRoutesOptions = { ...options, logins, tries };
  for (const routes of [newcomerRoutes, accountRoutes, secondFactorRoutes, resetRoutes]) await app.register(routes, shared);

  app.get('/api/me', { schema: { response: { 200: Me } } }, (request) => ({
    teacher: options.findTeacher(request),
    setUpNeeded: !queries.anyTeacher(),
  }));

  app.post('/api/sign-in', { schema: { body: SignIn, response: { 200: Me } } }, async (request, reply) => {
    const { signInName, password } = request.body;
    // Counted for a name from an address: a stranger elsewhere who fails with the teacher's name does not lock the teacher out.
    const who = `${signInName.trim().toLowerCase()} from ${request.ip}`;
    const wasRight = await tries.begin(who, request.ip);
    const found = queries.teacherBySignInName(signInName);
    if (!(await checkPassword(password, found?.passwordHash)) || !found) {
      if (found) noteOnceAnHour(store.db, { act: 'sign-in-failed', atMs: nowMs(), teacherId: found.id });
      throw new CoreError('SIGN_IN_WRONG', 'The sign-in name and the password do not belong together. Please check both.');
    }
    if (found.totpSecret !== null) {
      const { oneTimeCode } = request.body;
      if (oneTimeCode === undefined) {
        wasRight();
        throw new CoreError('SECOND_FACTOR_NEEDED', 'Please enter the one-time code that your app shows for Zeitpunkt.');
      }
      // Counted for the teacher, from wherever it comes: whoever has the password is not kept from guessing by another address.
      const codeWasRight = await codeTries.begin(`code of ${found.id}`, request.ip);
      const totpStep = stepOfCode(found.totpSecret, oneTimeCode, found.totpStep, nowMs());
      if (totpStep === null)
        throw new CoreError('SECOND_FACTOR_WRONG', 'That is not the one-time code, or it was used before. Wait for the next one.');
      codeWasRight();
      queries.changeTeacher(found.id, { totpStep });
    }
    wasRight();
    noteAct(store.db, { act: 'signed-in', atMs: nowMs(), teacherId: found.id });
    logins.begin(request, reply, found.id);
    return { teacher: { id: found.id, name: found.name }, setUpNeeded: false };
  });

  app.post('/api/sign-out', { schema: { response: { 204: Type.Null() } } }, (request, reply) => {
    logins.end(request, reply);
    void reply.code(204);
    return null;
  });
};
