import { CoreError } from '@zeitpunkt/core/errors';
import { Me, SetUp } from '@zeitpunkt/contract';
import type { Feature } from '../../http/feature.js';
import { noteAct } from '../acts/gives.js';
import { codeHash } from './invitation-code.js';
import type { AuthRoutesOptions } from './options.js';
import { hashPassword } from './passwords.js';
import { authQueries } from './queries.js';
import { mustBeFreeToSignIn } from './sign-in-name.js';

/** How teachers come: the first one by the set-up code, the others by invitation. */
export const newcomerRoutes: Feature<AuthRoutesOptions> = async (app, options) => {
  const { store, nowMs, logins, tries } = options;
  const queries = authQueries(store.db);

  /** Adds a teacher with a first class and the lessons to start with. @throws CoreError SIGN_IN_NAME_TAKEN */
  const addTeacher = ({ name, signInName, className, pupilNames }: SetUp, passwordHash: string, mayInvite: boolean): string => {
    mustBeFreeToSignIn(queries, signInName);
    const id = queries.insertTeacher({ signInName, name, passwordHash, createdAtMs: nowMs(), mayInvite });
    options.events.emit('teacherAdded', { teacherId: id, className, pupilNames });
    noteAct(store.db, { act: 'teacher-joined', atMs: nowMs(), teacherId: id });
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
    logins.begin(request, reply, teacherId);
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
    logins.begin(request, reply, teacherId);
    return { teacher: { id: teacherId, name }, setUpNeeded: false };
  });
};
