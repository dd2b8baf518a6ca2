import type { Db } from '../db/connection.js';
import { doorQueries } from './queries/door.js';
import { eventQueries } from './queries/events.js';
import { participantQueries } from './queries/participants.js';
import { putRightQueries } from './queries/put-right.js';
import { responseQueries } from './queries/responses.js';
import { sessionListQueries, sessionRowQueries } from './queries/sessions.js';

/** Reads and writes of sessions and of all that belongs to them. What every response and every command needs is prepared once. */
export const sessionQueries = (db: Db) => ({
  ...sessionRowQueries(db),
  ...sessionListQueries(db),
  ...eventQueries(db),
  ...participantQueries(db),
  ...responseQueries(db),
  ...putRightQueries(db),
  ...doorQueries(db),
});

export type SessionQueries = ReturnType<typeof sessionQueries>;
