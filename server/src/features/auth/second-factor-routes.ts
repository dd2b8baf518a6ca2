import { SecondFactorBegun, SecondFactorConfirm, SecondFactorEnd } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import type { Feature } from '../../http/feature.js';
import { noteAct } from '../acts/gives.js';
import type { AuthRoutesOptions } from './options.js';
import { accountByPassword } from './own-password.js';
import { authQueries } from './queries.js';
import { newSecondFactor, stepOfCode } from './second-factor.js';

const NOTHING = { 204: Type.Null() };

/** One-time codes as a second factor, for whoever wants it. */
export const secondFactorRoutes: Feature<AuthRoutesOptions> = async (app, options) => {
  const { store, requireTeacher, nowMs, tries } = options;
  const queries = authQueries(store.db);

  // Nothing is kept until a code shows that the app has it.
  app.post('/api/account/second-factor/begin', { schema: { response: { 200: SecondFactorBegun } } }, (request) =>
    newSecondFactor(queries.teacherById(requireTeacher(request).id)!.signInName),
  );

  app.post('/api/account/second-factor', { schema: { body: SecondFactorConfirm, response: NOTHING } }, async (request, reply) => {
    const { id } = requireTeacher(request);
    const wasRight = await tries.begin(`second factor of ${id}`, request.ip);
    const { secret, code } = request.body;
    const totpStep = stepOfCode(secret, code, 0, nowMs());
    if (totpStep === null)
      throw new CoreError('SECOND_FACTOR_WRONG', 'That is not the code that the app shows now. Is the clock of the phone right?');
    wasRight();
    queries.changeTeacher(id, { totpSecret: secret, totpStep });
    noteAct(store.db, { act: 'second-factor-on', atMs: nowMs(), teacherId: id });
    return reply.code(204).send(null);
  });

  app.post('/api/account/second-factor/end', { schema: { body: SecondFactorEnd, response: NOTHING } }, async (request, reply) => {
    const { id } = await accountByPassword(options, request, request.body.password);
    queries.changeTeacher(id, { totpSecret: null, totpStep: 0 });
    noteAct(store.db, { act: 'second-factor-off', atMs: nowMs(), teacherId: id });
    return reply.code(204).send(null);
  });
};
