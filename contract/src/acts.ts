import { Type } from '@sinclair/typebox';
import { type Data, AtMs, Exact, OneOf } from './shared.js';

/** What is written down when it is done. */
export const ACT_NAMES = [
  'signed-in',
  'sign-in-failed',
  'password-changed',
  'second-factor-on',
  'second-factor-off',
  'signed-out-elsewhere',
  'reset-code-made',
  'password-reset',
  'teacher-invited',
  'invitation-withdrawn',
  'teacher-joined',
  'account-closed',
  'first-handed-on',
  'class-handed-over',
  'class-deleted',
  'class-exported',
  'class-taken',
  'pupil-exported',
  'pupil-deleted',
  'pupils-merged',
  'results-exported',
  'results-taken',
  'retention',
  'list-exported',
  'cards-made',
  'cards-revoked',
  'response-corrected',
  'correction-undone',
  'wording-accepted',
  'wording-taken-back',
  'recording-deleted',
  'backed-up',
  'backup-failed',
  'backups-deleted',
] as const;
export type ActName = (typeof ACT_NAMES)[number];

/** What was done at the school, the newest first, without pupils' names. */
export const ActList = Exact({
  acts: Type.Array(
    Exact({
      atMs: AtMs,
      act: OneOf(ACT_NAMES),
      /** The teacher who did it; empty where it happened by itself. */
      who: Type.String(),
      /** What it was done to: a class, a colleague. */
      about: Type.String(),
      count: Type.Integer({ minimum: 0 }),
    }),
  ),
  /** How long they are kept, in days. */
  keepDays: Type.Integer({ minimum: 1 }),
});
export type ActList = Data<typeof ActList>;
export const ActsKeep = Exact({ keepDays: Type.Integer({ minimum: 7, maximum: 3650 }) });
export type ActsKeep = Data<typeof ActsKeep>;
