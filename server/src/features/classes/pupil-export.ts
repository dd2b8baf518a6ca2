import { asc, eq } from 'drizzle-orm';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { setImmediate } from 'node:timers/promises';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { sessionQueries } from '../../sessions/queries.js';
import { readSession } from '../../sessions/session-record.js';
import { response } from '../../tables/sessions.js';
import { comment, type correction, homePage } from '../../tables/review.js';
import { findPupil } from './queries.js';

/**
 * Everything that is kept about a pupil, as a document for the family or the school: names, lessons, and every answer with
 * the question it was given to, how it was marked and when.
 */
export async function exportPupil(db: Db, pupilId: string, className: string, nowMs: number): Promise<object> {
  const { name, reference, leftAtMs } = findPupil(db, pupilId)!;
  const rows = db.select().from(response).where(eq(response.pupilId, pupilId)).orderBy(asc(response.receivedAtMs)).all();
  const queries = sessionQueries(db);
  const lessons: object[] = [];
  for (const sessionId of new Set(rows.map((row) => row.sessionId))) {
    await setImmediate();
    const { lesson, createdAtMs, room } = readSession(queries, sessionId)!;
    const { settings, title } = lesson.lesson;
    const stemOf = (askingId: string) => {
      const asking = room.run.askings.find(({ id }) => id === askingId);
      return asking ? kindOf(asking.item).viewOf(asking.item, settings).stem : null;
    };
    const corrections = queries.corrections(sessionId);
    const answers = rows
      .filter((row) => row.sessionId === sessionId)
      .map((row) => ({ question: stemOf(row.askingId), ...answerOf(row), corrected: correctedOf(corrections.get(row.id)) }));
    lessons.push({ title, taughtAt: iso(createdAtMs), answers });
  }
  return {
    format: 'zeitpunkt-pupil-data',
    formatVersion: 1,
    exportedAt: iso(nowMs),
    class: className,
    name,
    reference,
    leftAt: leftAtMs === null ? null : iso(leftAtMs),
    lessons,
    remarks: db.select().from(comment).where(eq(comment.pupilId, pupilId)).orderBy(asc(comment.atMs)).all().map(remarkOf),
    pageForHome: pageOf(db.select().from(homePage).where(eq(homePage.pupilId, pupilId)).get()),
  };
}

const correctedOf = (one: typeof correction.$inferSelect | undefined) =>
  one ? { verdict: stored.mark(one.mark, 'the pupil').verdict, reason: one.reason, at: iso(one.atMs) } : null;
const remarkOf = ({ responseId, text, atMs }: typeof comment.$inferSelect) => ({ onAnswer: responseId, text, at: iso(atMs) });
const pageOf = (page: typeof homePage.$inferSelect | undefined) =>
  page ? { can: page.can, next: page.next, tryThis: page.tryThis, at: iso(page.atMs) } : null;

const iso = (ms: number) => new Date(ms).toISOString();

function answerOf({ askingId, attempt, given, mark, responseTimeMs, receivedAtMs, late, counted }: typeof response.$inferSelect): object {
  const { verdict, misconceptions, sayToPupil } = stored.mark(mark, 'the pupil');
  return {
    askingId,
    attempt,
    given: stored.response(given, 'the pupil'),
    verdict,
    possibleIdeas: misconceptions,
    saidToPupil: sayToPupil,
    responseTimeMs,
    receivedAt: iso(receivedAtMs),
    late,
    counts: counted,
  };
}
