import { LatestAttempts } from '@zeitpunkt/core/run/latest';
import { InsightLine, type Pupil } from '@zeitpunkt/contract';
import { setImmediate } from 'node:timers/promises';
import type { Db } from '../../db/connection.js';
import { fitsOf } from '../../http/fits.js';
import { complaintOf } from '../../http/what-is-wrong.js';
import { sessionQueries } from '../../sessions/queries.js';
import { sessionAnswers, sessionIds, type SessionAnswers } from '../../sessions/session-answers.js';

/** So much text of lessons that are over is kept, in characters: about four school years of a class. */
const KEPT_CHARS = 16_000_000;

interface KeptLine {
  readonly stamp: string;
  readonly line: string;
  readonly classId: string;
}

/**
 * All that a class answered, as lines of JSON: insight is computed from them where it is looked at. Lines of lessons that are
 * over are kept, since a review is opened more often than an old lesson changes.
 */
export class InsightLines {
  /** By lesson, what was not wanted for longest first. */
  private readonly kept = new Map<string, KeptLine>();
  private chars = 0;
  private readonly queries;

  constructor(private readonly db: Db) {
    this.queries = sessionQueries(db);
  }

  async *of({ id, name }: { readonly id: string; readonly name: string }, pupils: readonly Pupil[]): AsyncGenerator<string> {
    const sessions = sessionIds(this.db, id);
    yield lineOf({ line: 'class', id, name, pupils, sessions: sessions.length });
    for (const session of sessions) {
      const stamp = this.queries.answersStamp(session.id);
      const before = this.kept.get(session.id);
      if (before?.stamp === stamp) {
        this.keep(session.id, before);
        await setImmediate();
        yield before.line;
        continue;
      }
      for await (const one of sessionAnswers(this.db, id, session.id)) {
        const line = lineOf('why' in one ? { line: 'unreadable', why: one.why } : sessionLine(one));
        if (session.endedAtMs !== null) this.keep(session.id, { stamp, line, classId: id });
        yield line;
      }
    }
  }

  /** Pupils of a class were made one, or answers came in from a file: none of its lines is what it was. */
  forget(classId: string): void {
    for (const [id, one] of this.kept) if (one.classId === classId) this.drop(id);
  }

  private keep(sessionId: string, one: KeptLine): void {
    this.drop(sessionId);
    this.kept.set(sessionId, one);
    this.chars += one.line.length;
    for (const [id] of this.kept) {
      if (this.chars <= KEPT_CHARS) break;
      this.drop(id);
    }
  }

  private drop(sessionId: string): void {
    this.chars -= this.kept.get(sessionId)?.line.length ?? 0;
    this.kept.delete(sessionId);
  }
}

function sessionLine({ id, createdAtMs, pace, lesson, room, responses }: SessionAnswers): InsightLine {
  const latest = new LatestAttempts(responses.filter(({ late }) => late === null || late.counted));
  const { askings } = room.run;
  return {
    line: 'session',
    id,
    title: lesson.title,
    createdAtMs,
    pace,
    rung: lesson.rung ?? null,
    settings: lesson.settings,
    askings: askings.map((one) => ({ id: one.id, item: one.item })),
    answers: askings.flatMap((asking) =>
      [...latest.at(asking.id).values()].map((one) => ({
        id: one.id,
        pupilId: one.pupilId,
        askingId: one.askingId,
        response: one.response,
        verdict: one.mark.verdict,
        ideas: one.mark.misconceptions,
        responseTimeMs: one.responseTimeMs,
        atMs: one.late?.givenAtMs ?? one.receivedAtMs,
        source: one.source,
      })),
    ),
  };
}

/** A line as it goes out; one that does not fit its schema would be a fault of ours. */
function lineOf(line: InsightLine): string {
  const fits = fitsOf(InsightLine);
  if (!fits(line)) throw new Error(`A line of insight does not fit its schema: ${complaintOf(fits.errors)}`);
  return `${JSON.stringify(line)}\n`;
}
