import { Type } from '@sinclair/typebox';
import { type Data, AtMs, Exact, Nullable } from './shared.js';

/** How it is with a server, for whoever looks after the machine. */
export const Health = Exact({
  alive: Type.Literal(true),
  /** Whether the database answers. */
  ready: Type.Boolean(),
  /** When the school was backed up last; null for never. */
  lastBackupAtMs: Nullable(AtMs),
});
export type Health = Data<typeof Health>;
