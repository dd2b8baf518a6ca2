import type { Db } from '../../db/connection.js';
import { noteAct } from '../acts/gives.js';
import { codeHash, newInvitationCode } from './invitation-code.js';
import { authQueries } from './queries.js';

/** A reset can be used for a day. */
const RESET_MS = 24 * 3600_000;

/** Makes a one-time code with which a teacher chooses a new password. @param byId who makes it; null: whoever runs the machine */
export function makeReset(db: Db, teacher: { readonly id: string; readonly name: string }, byId: string | null, nowMs: number) {
  const code = newInvitationCode();
  const expiresAtMs = nowMs + RESET_MS;
  authQueries(db).putReset({ teacherId: teacher.id, codeHash: codeHash(code), expiresAtMs });
  noteAct(db, { act: 'reset-code-made', atMs: nowMs, teacherId: byId, about: teacher.name });
  return { code, expiresAtMs };
}
