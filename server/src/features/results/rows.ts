import { asc, eq } from 'drizzle-orm';
import type { ResultRow } from '@zeitpunkt/core/insight/result-row';
import type { MarkedResponse } from '@zeitpunkt/contract';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { pupil } from '../../tables/classes.js';
import { sessionQueries } from '../../sessions/queries.js';
import { sessionAnswers } from '../../sessions/session-answers.js';

/**
 * Every attempt of a class as rows of results, lesson by lesson, the oldest first; what cannot be read is left out.
 * @param only one lesson, where not all are wanted
 */
export async function* resultRows(db: Db, classId: string, only: string | null): AsyncGenerator<readonly ResultRow[]> {
  const queries = sessionQueries(db);
  const pupils = new Map(
    db
      .select({ id: pupil.id, name: pupil.name, reference: pupil.reference })
      .from(pupil)
      .where(eq(pupil.classId, classId))
      .orderBy(asc(pupil.place))
      .all()
      .map((one) => [one.id, one]),
  );
  const places = new Map([...pupils.keys()].map((pupilId, place) => [pupilId, place]));
  for await (const session of sessionAnswers(db, classId, only)) {
    if ('why' in session) continue;
    const { id, lesson, room, responses, createdAtMs, pace } = session;
    const asked = new Map(room.run.askings.map((asking, index) => [asking.id, { item: asking.item, number: index + 1 }]));
    const corrections = queries.corrections(id);
    // Question by question in the order asked, pupil by pupil as in the class.
    const placeOf = (one: MarkedResponse) => (asked.get(one.askingId)?.number ?? 0) * 10_000 + (places.get(one.pupilId) ?? 0);
    const inOrder = [...responses].sort((one, other) => placeOf(one) - placeOf(other) || one.attempt - other.attempt);
    yield inOrder.flatMap((one): readonly ResultRow[] => {
      const [who, question] = [pupils.get(one.pupilId), asked.get(one.askingId)];
      if (!who || !question) return [];
      const first = one.correction ? stored.mark(queries.response(one.id)!.mark, who.name) : one.mark;
      const correction = corrections.get(one.id);
      return [
        {
          responseId: one.id,
          pupilId: who.id,
          pupil: who.name,
          reference: who.reference,
          sessionId: id,
          lesson: lesson.title,
          taughtAtMs: createdAtMs,
          pace,
          rung: lesson.rung ?? null,
          settings: lesson.settings,
          askingId: one.askingId,
          ...question,
          attempt: one.attempt,
          response: one.response,
          mark: first,
          correction: correction ? { mark: one.mark, reason: correction.reason, atMs: correction.atMs } : null,
          responseTimeMs: one.responseTimeMs,
          receivedAtMs: one.receivedAtMs,
          source: one.source,
          late: one.late && {
            waitedMs: one.receivedAtMs - one.late.givenAtMs,
            closedAtMs: one.late.closedAtMs,
            counted: one.late.counted,
          },
        },
      ];
    });
  }
}
