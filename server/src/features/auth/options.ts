import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { Limits } from '../../http/limits.js';
import type { Cookies } from '../../http/tokens.js';
import type { FailedTries } from '../../http/failed-tries.js';
import type { FindTeacher, RequireTeacher } from './guard.js';
import type { Logins } from './logins.js';
import type { LoginLines } from './login-lines.js';

/** What sign-in needs of the rest of the server. */
export interface AuthOptions {
  readonly store: Store;
  readonly findTeacher: FindTeacher;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
  readonly limits: Limits;
  readonly cookies: Cookies;
  /** Lines that end with the login they were opened with. */
  readonly loginLines: LoginLines;
  /** The code that the console printed at the first start; null where a teacher exists already. */
  readonly setUpCode: string | null;
  readonly events: Events;
}

/** What the routes of accounts share. */
export interface AuthRoutesOptions extends AuthOptions {
  readonly logins: Logins;
  /** Passwords and codes that were wrong, by name and by address. */
  readonly tries: FailedTries;
}
