import { and, count, eq, sql } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { sessionEvent } from '../../tables/sessions.js';
import { placeholders } from './placeholders.js';

/** Reads and writes of what teachers told their rooms. */
export function eventQueries(db: Db) {
  const insertEvent = db
    .insert(sessionEvent)
    .values(placeholders(['sessionId', 'seq', 'commandId', 'command', 'atMs']))
    .prepare();
  const commandKnown = db
    .select({ seq: sessionEvent.seq })
    .from(sessionEvent)
    .where(and(eq(sessionEvent.sessionId, sql.placeholder('sessionId')), eq(sessionEvent.commandId, sql.placeholder('commandId'))))
    .prepare();

  return {
    commandKnown: (sessionId: string, commandId: string) => commandKnown.get({ sessionId, commandId }) !== undefined,

    eventCount: (sessionId: string) =>
      db.select({ events: count() }).from(sessionEvent).where(eq(sessionEvent.sessionId, sessionId)).get()!.events,

    insertEvent: (row: typeof sessionEvent.$inferInsert) => insertEvent.run(row),
  };
}
