import { Closing, ClosingCheck } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import { reallyDelete } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import { noteAct } from '../acts/gives.js';
import { isFirstTeacher } from '../auth/gives.js';
import { moveLesson } from './move-class.js';
import type { HandOverOptions } from './options.js';
import { accountOf, closeAccount, colleague, dialsTo, lessonIdsOf, whatIsLeft } from './queries.js';

const Params = Type.Object({ id: Type.String() });

/** A teacher leaves: once the classes are with others, the account is closed; lessons and dials go to a colleague, or with it. */
export const closingRoutes: Feature<HandOverOptions> = async (app, { store, loginLines, requireTeacher, nowMs }) => {
  const { db } = store;
  /** An account that whoever asks may close: one's own; that of a colleague, for the first teacher. @throws CoreError NOT_ALLOWED, TEACHER_UNKNOWN */
  const mayClose = (byId: string, id: string) => {
    if (byId !== id && !isFirstTeacher(db, byId))
      throw new CoreError('NOT_ALLOWED', 'Only the first teacher of this school can close another one’s account.');
    return accountOf(db, id);
  };

  app.get('/api/staff/:id/closing', { schema: { params: Params, response: { 200: ClosingCheck } } }, (request) =>
    whatIsLeft(db, mayClose(requireTeacher(request).id, request.params.id).id),
  );

  app.post('/api/staff/:id/close', { schema: { params: Params, body: Closing, response: { 204: Type.Null() } } }, (request, reply) => {
    const { id: byId } = requireTeacher(request);
    const { id, name } = mayClose(byId, request.params.id);
    if (isFirstTeacher(db, id)) throw new CoreError('ACCOUNT_IN_USE', 'Somebody has to be the first teacher: hand the role on before.');
    if (whatIsLeft(db, id).classes.length > 0)
      throw new CoreError('ACCOUNT_IN_USE', `${name} still has classes: hand them over, or delete them, before.`, { name });
    const { lessonsTo } = request.body;
    const to = lessonsTo === null ? null : colleague(db, id, lessonsTo);
    const logins: string[] = [];
    reallyDelete(store, () => {
      noteAct(db, { act: 'account-closed', atMs: nowMs(), teacherId: byId, about: name });
      if (to) {
        for (const lessonId of lessonIdsOf(db, id)) moveLesson(db, lessonId, to.id);
        dialsTo(db, id, to.id);
      }
      logins.push(...closeAccount(db, id));
    });
    for (const hash of logins) loginLines.end(hash);
    void reply.code(204);
    return null;
  });
};
