import { CoreError } from '@zeitpunkt/core/errors';
import { Invite, Invited, Staff } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from './guard.js';
import { codeHash, newInvitationCode } from './invitation-code.js';
import { authQueries } from './queries.js';

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
    return { teachers: queries.teachers(), invitations: mayInvite ? queries.invitations(nowMs()) : [], mayInvite };
  };
  const mustInvite = (teacherId: string) => {
    if (!queries.mayInvite(teacherId)) throw new CoreError('NOT_ALLOWED', 'Only the first teacher of this school can invite others.');
  };

  app.get('/api/staff', { schema: { response: { 200: Staff } } }, (request) => staff(requireTeacher(request).id));

  app.post('/api/staff/invitations', { schema: { body: Invite, response: { 200: Invited } } }, (request) => {
    const teacher = requireTeacher(request);
    mustInvite(teacher.id);
    const code = newInvitationCode();
    queries.putInvitation({ ...request.body, codeHash: codeHash(code), expiresAtMs: nowMs() + INVITATION_MS });
    return { code, staff: staff(teacher.id) };
  });

  app.post(
    '/api/staff/invitations/:id/withdraw',
    { schema: { params: Type.Object({ id: Type.String() }), response: { 200: Staff } } },
    (request) => {
      const teacher = requireTeacher(request);
      mustInvite(teacher.id);
      queries.deleteInvitation(request.params.id);
      return staff(teacher.id);
    },
  );
};
