import { CoreError } from '@zeitpunkt/core/errors';
import { Me, SetUp, SignIn } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import type { Limits } from '../../http/limits.js';
import { newToken, tokenHash, type Cookies } from '../../http/tokens.js';
import { FailedTries } from '../../http/failed-tries.js';
import type { LoginLines } from './login-lines.js';
import { type FindTeacher, TEACHER_COOKIE } from './guard.js';
import { checkPassword, hashPassword } from './passwords.js';
import { codeHash } from './invitation-code.js';
import { authQueries } from './queries.js';

export interface AuthOptions {
  readonly store: Store;
  readonly findTeacher: FindTeacher;
  readonly nowMs: () => number;
  readonly limits: Limits;
  readonly cookies: Cookies;
  /** Lines that end with the login they were opened with. */
  readonly loginLines: LoginLines;
  /** The code that the console printed at the first start; null where a teacher exists already. */
  readonly setUpCode: string | null;
  readonly events: Events;
}

/** A sign-in lasts a school week. */
const LOGIN_MS = 7 * 24 * 3600 * 1000;

/** Sign-in, sign-out, the set-up of the first teacher, and those who come by invitation. */
export const authPlugin: Feature<AuthOptions> = async (app, options) => {
  const { store, nowMs, cookies, loginLines } = options;
  const queries = authQueries(store.db);
  const tries = new FailedTries(options.limits.signIn, nowMs);

  const logOut = (request: FastifyRequest) => {
    const token = request.cookies[TEACHER_COOKIE];
    if (!token) return;
    queries.deleteLogin(tokenHash(token));
    loginLines.end(tokenHash(token));
  };
  const logIn = (request: FastifyRequest, reply: FastifyReply, teacherId: string) => {
    logOut(request); // this browser's earlier login is over
    const token = newToken();
    queries.deleteExpired(nowMs());
    queries.insertLogin({ tokenHash: tokenHash(token), teacherId, expiresAtMs: nowMs() + LOGIN_MS });
    reply.setCookie(TEACHER_COOKIE, token, { ...cookies, maxAge: LOGIN_MS / 1000 });
  };

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
      throw new CoreError('SIGN_IN_WRONG', 'The sign-in name and the password do not belong together. Please check both.');
    }
    wasRight();
    logIn(request, reply, found.id);
    return { teacher: { id: found.id, name: found.name }, setUpNeeded: false };
  });

  app.post('/api/sign-out', { schema: { response: { 204: Type.Null() } } }, (request, reply) => {
    logOut(request);
    void reply.clearCookie(TEACHER_COOKIE, cookies).code(204);
    return null;
  });

  /** Adds a teacher with a first class and the lessons to start with. @throws CoreError SIGN_IN_NAME_TAKEN */
  const addTeacher = ({ name, signInName, className, pupilNames }: SetUp, passwordHash: string, mayInvite: boolean): string => {
    if (queries.teacherBySignInName(signInName)) {
      throw new CoreError('SIGN_IN_NAME_TAKEN', `Somebody here signs in as ${signInName} already; please choose another sign-in name.`, {
        signInName,
      });
    }
    const id = queries.insertTeacher({ signInName, name, passwordHash, createdAtMs: nowMs(), mayInvite });
    options.events.emit('teacherAdded', { teacherId: id, className, pupilNames });
    return id;
  };

  app.post('/api/set-up', { schema: { body: SetUp, response: { 200: Me } } }, async (request, reply) => {
    const wasRight = await tries.begin(`set-up from ${request.ip}`, request.ip);
    const { code, name, password } = request.body;
    const passwordHash = await hashPassword(password);
    const teacherId = store.sqlite.transaction(() => {
      if (queries.anyTeacher()) throw new CoreError('SETUP_DONE', 'The first teacher is set up already; please sign in.');
      if (code.trim() !== options.setUpCode) {
        throw new CoreError('SETUP_CODE_WRONG', 'That is not the set-up code. It stands in the window where Zeitpunkt was started.');
      }
      return addTeacher(request.body, passwordHash, true);
    })();
    wasRight();
    logIn(request, reply, teacherId);
    return { teacher: { id: teacherId, name }, setUpNeeded: false };
  });

  app.post('/api/invitation', { schema: { body: SetUp, response: { 200: Me } } }, async (request, reply) => {
    // Counted by address: whoever guesses elsewhere locks nobody out.
    const wasRight = await tries.begin(`invitation from ${request.ip}`, request.ip);
    const { code, name, password } = request.body;
    const passwordHash = await hashPassword(password);
    const teacherId = store.sqlite.transaction(() => {
      if (!queries.useInvitation(codeHash(code), nowMs())) {
        throw new CoreError('INVITATION_WRONG', 'No open invitation has this code. It can be used once, within a week; ask for a new one.');
      }
      return addTeacher(request.body, passwordHash, false);
    })();
    wasRight();
    logIn(request, reply, teacherId);
    return { teacher: { id: teacherId, name }, setUpNeeded: false };
  });
};
