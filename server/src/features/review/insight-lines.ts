import { LatestAttempts } from '@zeitpunkt/core';
import { InsightLine, type Pupil } from '@zeitpunkt/contract';
import type { Db } from '../../db/connection.js';
import { fitsOf } from '../../http/fits.js';
import { complaintOf } from '../../http/what-is-wrong.js';
import { sessionAnswers, sessionIds, type SessionAnswers } from './session-answers.js';

/** All that a class answered, as lines of JSON: insight is computed from them where it is looked at. */
export async function* insightLines(
  db: Db,
  { id, name }: { readonly id: string; readonly name: string },
  pupils: readonly Pupil[],
): AsyncGenerator<string> {
  yield lineOf({ line: 'class', id, name, pupils, sessions: sessionIds(db, id).length });
  for await (const one of sessionAnswers(db, id)) {
    yield lineOf('why' in one ? { line: 'unreadable', why: one.why } : sessionLine(one));
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
