import { CoreError } from '@zeitpunkt/core';
import { Me, SetUp, SignIn } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyReply } from 'fastify';
import type { Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import type { Limits } from '../../http/limits.js';
import { COOKIE, newToken, tokenHash } from '../../http/tokens.js';
import { type FindTeacher, TEACHER_COOKIE } from './guard.js';
import { checkPassword, hashPassword } from './passwords.js';
import { authQueries } from './queries.js';

export interface AuthOptions {
  readonly store: Store;
  readonly findTeacher: FindTeacher;
  readonly nowMs: () => number;
  readonly limits: Limits;
  /** The code that the console printed at the first start; null where a teacher exists already. */
  readonly setUpCode: string | null;
  /** Gives a new teacher what a first lesson needs: a class and lessons. Runs inside the transaction of the set-up. */
  readonly equip: (teacherId: string, first: { className: string; pupilNames: readonly string[] }) => void;
}

/** A sign-in lasts a school week. */
const LOGIN_MS = 7 * 24 * 3600 * 1000;

/** Sign-in, sign-out, and the set-up of the first teacher. */
export const authPlugin: Feature<AuthOptions> = async (app, options) => {
  const { store, nowMs } = options;
  const queries = authQueries(store.db);
  const rateLimit = { max: options.limits.signInPerMinute, timeWindow: '1 minute' };

  const logIn = (reply: FastifyReply, teacherId: string) => {
    const token = newToken();
    queries.deleteExpired(nowMs());
    queries.insertLogin({ tokenHash: tokenHash(token), teacherId, expiresAtMs: nowMs() + LOGIN_MS });
    reply.setCookie(TEACHER_COOKIE, token, { ...COOKIE, maxAge: LOGIN_MS / 1000 });
  };

  app.get('/api/me', { schema: { response: { 200: Me } } }, (request) => ({
    teacher: options.findTeacher(request),
    setUpNeeded: !queries.anyTeacher(),
  }));

  app.post('/api/sign-in', { schema: { body: SignIn, response: { 200: Me } }, config: { rateLimit } }, async (request, reply) => {
    const found = queries.teacherBySignInName(request.body.signInName);
    if (!(await checkPassword(request.body.password, found?.passwordHash)) || !found) {
      throw new CoreError('SIGN_IN_WRONG', 'The sign-in name and the password do not belong together. Please check both.');
    }
    logIn(reply, found.id);
    return { teacher: { id: found.id, name: found.name }, setUpNeeded: false };
  });

  app.post('/api/sign-out', { schema: { response: { 204: Type.Null() } } }, (request, reply) => {
    const token = request.cookies[TEACHER_COOKIE];
    if (token) queries.deleteLogin(tokenHash(token));
    void reply.clearCookie(TEACHER_COOKIE, COOKIE).code(204);
    return null;
  });

  app.post('/api/set-up', { schema: { body: SetUp, response: { 200: Me } }, config: { rateLimit } }, async (request, reply) => {
    const { code, name, signInName, password, className, pupilNames } = request.body;
    const passwordHash = await hashPassword(password);
    const teacherId = store.sqlite.transaction(() => {
      if (queries.anyTeacher()) throw new CoreError('SETUP_DONE', 'The first teacher is set up already; please sign in.');
      if (code.trim() !== options.setUpCode) {
        throw new CoreError('SETUP_CODE_WRONG', 'That is not the set-up code. It stands in the window where Zeitpunkt was started.');
      }
      const id = queries.insertTeacher({ signInName, name, passwordHash, createdAtMs: nowMs() });
      options.equip(id, { className, pupilNames });
      return id;
    })();
    logIn(reply, teacherId);
    return { teacher: { id: teacherId, name }, setUpNeeded: false };
  });
};
