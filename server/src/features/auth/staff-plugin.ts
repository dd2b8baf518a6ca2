import { CoreError } from '@zeitpunkt/core/errors';
import { Invite, Invited, Staff } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import { noteAct } from '../acts/gives.js';
import { handOnFirst, mustBeFirst } from './first-teacher.js';
import type { RequireTeacher } from './guard.js';
import { codeHash, newInvitationCode } from './invitation-code.js';
import { authQueries } from './queries.js';
import { teachersOf } from './teachers.js';

export interface StaffOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

/** An invitation can be used for a week. */
const INVITATION_MS = 7 * 24 * 3600_000;

/** Who teaches at the school. The first teacher invites others; each sees only their own classes, lessons and answers. */
export const staffPlugin: Feature<StaffOptions> = async (app, { store, requireTeacher, nowMs }) => {
  const queries = authQueries(store.db);
  const staff = (teacherId: string): Staff => {
    const mayInvite = queries.mayInvite(teacherId);
    return { teachers: teachersOf(store.db), invitations: mayInvite ? queries.invitations(nowMs()) : [], mayInvite };
  };

  app.get('/api/staff', { schema: { response: { 200: Staff } } }, (request) => staff(requireTeacher(request).id));

  app.post('/api/staff/invitations', { schema: { body: Invite, response: { 200: Invited } } }, (request) => {
    const teacher = requireTeacher(request);
    mustBeFirst(store.db, teacher.id);
    const code = newInvitationCode();
    queries.putInvitation({ ...request.body, codeHash: codeHash(code), expiresAtMs: nowMs() + INVITATION_MS });
    noteAct(store.db, { act: 'teacher-invited', atMs: nowMs(), teacherId: teacher.id, about: request.body.forWhom });
    return { code, staff: staff(teacher.id) };
  });

  app.post(
    '/api/staff/invitations/:id/withdraw',
    { schema: { params: Type.Object({ id: Type.String() }), response: { 200: Staff } } },
    (request) => {
      const teacher = requireTeacher(request);
      mustBeFirst(store.db, teacher.id);
      const withdrawn = queries.deleteInvitation(request.params.id);
      if (withdrawn) noteAct(store.db, { act: 'invitation-withdrawn', atMs: nowMs(), teacherId: teacher.id, about: withdrawn.forWhom });
      return staff(teacher.id);
    },
  );

  // Somebody has to be the first: the role goes to a colleague in one step.
  app.post('/api/staff/:id/first', { schema: { params: Type.Object({ id: Type.String() }), response: { 200: Staff } } }, (request) => {
    const { id } = requireTeacher(request);
    mustBeFirst(store.db, id);
    const next = queries.teacherById(request.params.id);
    if (!next) throw new CoreError('TEACHER_UNKNOWN', 'No such colleague teaches at this school.');
    store.sqlite.transaction(() => {
      handOnFirst(store.db, next.id);
      noteAct(store.db, { act: 'first-handed-on', atMs: nowMs(), teacherId: id, about: next.name });
    })();
    return staff(id);
  });
};
