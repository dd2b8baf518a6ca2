import { Type } from '@sinclair/typebox';
import { type Data, AtMs, Exact, Nullable } from './shared.js';

/** How it is with the backups of a school. */
export const BackupStatus = Exact({
  /** Where one goes each day, and when, in minutes since midnight by the clock of the machine; null where nobody set that. */
  each: Nullable(
    Exact({
      to: Type.String({ maxLength: 4096 }),
      atMin: Type.Integer({ minimum: 0, maximum: 1439 }),
      /** So many are kept. */
      most: Type.Integer({ minimum: 1 }),
    }),
  ),
  /** When those that lie there were made, the newest first. */
  kept: Type.Array(AtMs),
  /** The newest that lies there. */
  last: Nullable(Exact({ atMs: AtMs, bytes: Type.Integer({ minimum: 0 }), sealed: Type.Boolean() })),
  /** Why the latest could not be made, in one sentence; null where it could. */
  problem: Nullable(Type.String()),
  /** Those that were made before pupils were deleted, and still hold them; null where none does. */
  holdDeleted: Nullable(
    Exact({
      count: Type.Integer({ minimum: 1 }),
      /** When pupils were deleted last. */
      deletedAtMs: AtMs,
      /** So many daily backups later they are gone by themselves. */
      goneAfter: Type.Integer({ minimum: 1 }),
    }),
  ),
  running: Type.Boolean(),
});
export type BackupStatus = Data<typeof BackupStatus>;
