import type { MyAccount } from '@zeitpunkt/contract';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { Store } from '../../db/connection.js';
import { newToken, tokenHash, type Cookies } from '../../http/tokens.js';
import { browserOf } from './browser.js';
import { TEACHER_COOKIE } from './guard.js';
import type { LoginLines } from './login-lines.js';
import { authQueries, type AuthQueries } from './queries.js';

/** A sign-in lasts a school week. */
const LOGIN_MS = 7 * 24 * 3600 * 1000;

interface LoginsNeeds {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly cookies: Cookies;
  /** Lines that end with the login they were opened with. */
  readonly loginLines: LoginLines;
}

/** The browsers in which teachers are signed in. */
export class Logins {
  private readonly queries: AuthQueries;

  constructor(private readonly needs: LoginsNeeds) {
    this.queries = authQueries(needs.store.db);
  }

  /** Signs a teacher in at a browser: its earlier login is over. */
  begin(request: FastifyRequest, reply: FastifyReply, teacherId: string): void {
    const { nowMs, cookies } = this.needs;
    this.forget(request);
    const token = newToken();
    this.queries.deleteExpired(nowMs());
    const atMs = nowMs();
    const browser = browserOf(request.headers['user-agent'] ?? '');
    this.queries.insertLogin({
      tokenHash: tokenHash(token),
      teacherId,
      expiresAtMs: atMs + LOGIN_MS,
      beganAtMs: atMs,
      seenAtMs: atMs,
      browser,
    });
    this.queries.changeTeacher(teacherId, { seenAtMs: atMs });
    reply.setCookie(TEACHER_COOKIE, token, { ...cookies, maxAge: LOGIN_MS / 1000 });
  }

  /** Signs out at a browser. */
  end(request: FastifyRequest, reply: FastifyReply): void {
    this.forget(request);
    reply.clearCookie(TEACHER_COOKIE, this.needs.cookies);
  }

  /** The browsers in which a teacher is signed in, as the teacher sees them from one of them. */
  of(request: FastifyRequest, teacherId: string): MyAccount['logins'] {
    const own = hashIn(request);
    return this.queries.loginsOf(teacherId, this.needs.nowMs()).map(({ tokenHash: hash, browser, beganAtMs, seenAtMs }) => ({
      id: idOf(hash),
      browser,
      beganAtMs,
      seenAtMs,
      isThis: hash === own,
    }));
  }

  /** Signs a teacher out at one of the teacher's browsers; one that is signed out already stays so. */
  endOne(teacherId: string, id: string): void {
    const found = this.queries.loginsOf(teacherId, this.needs.nowMs()).find(({ tokenHash: hash }) => idOf(hash) === id);
    if (!found) return;
    this.queries.deleteLogin(found.tokenHash);
    this.needs.loginLines.end(found.tokenHash);
  }

  /** Signs a teacher out everywhere but at the browser that asks; where nobody asks, everywhere. */
  endOthers(teacherId: string, request?: FastifyRequest): void {
    const ended = this.queries.deleteLogins(teacherId, request && hashIn(request));
    for (const hash of ended) this.needs.loginLines.end(hash);
  }

  private forget(request: FastifyRequest): void {
    const token = request.cookies[TEACHER_COOKIE];
    if (!token) return;
    this.queries.deleteLogin(tokenHash(token));
    this.needs.loginLines.end(tokenHash(token));
  }
}

const hashIn = (request: FastifyRequest) => tokenHash(request.cookies[TEACHER_COOKIE] ?? '');
/** By which a login is named to its teacher: a part of the hash, by which nobody signs in. */
const idOf = (hash: string) => hash.slice(0, 16);
