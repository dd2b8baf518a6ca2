import type { ActName } from '@zeitpunkt/contract';
import { count } from '../../shared/words/catalogue';

type Said = (about: string, count: number) => string;
const of =
  (what: string): Said =>
  (about) =>
    about === '' ? what : `${what}: ${about}`;
const pupils = (n: number) => count(n, { one: '{n} pupil', other: '{n} pupils' });
const lessons = (n: number) => count(n, { one: '{n} lesson', other: '{n} lessons' });

/** What was done, as its list says it, in the order of a school's life. A missing act does not compile. */
export const ACT_WORDS: Readonly<Record<ActName, Said>> = {
  'signed-in': of('Signed in'),
  'sign-in-failed': of('A sign-in with a wrong password'),
  'password-changed': of('Changed the password'),
  'second-factor-on': of('Turned one-time codes on'),
  'second-factor-off': of('Turned one-time codes off'),
  'signed-out-elsewhere': of('Signed out everywhere else'),
  'reset-code-made': (about) => `Made a code for a new password of ${about}`,
  'password-reset': of('Chose a new password with a code'),
  'teacher-invited': (about) => `Invited ${about}`,
  'invitation-withdrawn': (about) => `Withdrew the invitation for ${about}`,
  'teacher-joined': of('Came to the school'),
  'account-closed': (about) => `Closed the account of ${about}`,
  'first-handed-on': (about) => `Made ${about} the first teacher`,
  'class-handed-over': of('Handed a class over'),
  'class-deleted': of('Deleted a class'),
  'class-exported': of('Took a whole class out'),
  'class-taken': (about, n) => `Took a class in: ${about}, ${pupils(n)}`,
  'pupil-exported': of('Took out what is kept of one pupil'),
  'pupil-deleted': of('Deleted one pupil'),
  'pupils-merged': of('Merged two pupils'),
  'results-exported': (about, n) => `Took results out: ${about}, ${lessons(n)}`,
  'results-taken': (about, n) => `Took results in: ${about}, ${count(n, { one: '{n} answer', other: '{n} answers' })}`,
  retention: (about, n) => `Deleted what is kept no longer: ${about}, ${lessons(n)}`,
  'list-exported': of('Took a class list out'),
  'cards-made': (about, n) => `Made cards: ${about}, ${pupils(n)}`,
  'cards-revoked': (about, n) => `Took cards back: ${about}, ${pupils(n)}`,
  'response-corrected': of('Corrected the mark of an answer'),
  'correction-undone': of('Took the correction of a mark back'),
  'wording-accepted': (about) => `Let a wording count: “${about}”`,
  'wording-taken-back': (about) => `Does not let a wording count any more: “${about}”`,
  'recording-deleted': of('Deleted a recording'),
  'backed-up': (about) => `Backed up to ${about}`,
  'backups-deleted': (_, n) =>
    count(n, { one: 'Deleted {n} backup that held deleted pupils', other: 'Deleted {n} backups that held deleted pupils' }),
  'backup-failed': (about) => `Could not be backed up. ${about}`,
};
