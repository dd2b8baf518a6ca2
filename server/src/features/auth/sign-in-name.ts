import { CoreError } from '@zeitpunkt/core/errors';
import type { AuthQueries } from './queries.js';

/** A sign-in name belongs to one teacher. @param exceptId the teacher who is to have it @throws CoreError SIGN_IN_NAME_TAKEN */
export function mustBeFreeToSignIn(queries: AuthQueries, signInName: string, exceptId?: string): void {
  const other = queries.teacherBySignInName(signInName);
  if (!other || other.id === exceptId) return;
  throw new CoreError('SIGN_IN_NAME_TAKEN', `Somebody here signs in as ${signInName} already; please choose another sign-in name.`, {
    signInName,
  });
}
