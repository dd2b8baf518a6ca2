import { CoreError } from '@zeitpunkt/core/errors';
import type { PupilRecord, RecordedAnswer, RecordedLesson } from '@zeitpunkt/core/paper/family/pupil-record';
import { kindOf, textOfResponse } from '@zeitpunkt/core/question-kinds/registry';
import { asc, eq } from 'drizzle-orm';
import { setImmediate } from 'node:timers/promises';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { sessionQueries, type SessionQueries } from '../../sessions/queries.js';
import { readSession } from '../../sessions/session-record.js';
import { card } from '../../tables/classes.js';
import { ownPlace } from '../../tables/own-pace.js';
import { sheet, sheetCopy } from '../../tables/paper.js';
import { comment, groupMove, homePage } from '../../tables/review.js';
import { participant, response } from '../../tables/sessions.js';
import { findPupil } from './queries.js';

type Rows = Readonly<{
  answers: readonly (typeof response.$inferSelect)[];
  joins: readonly (typeof participant.$inferSelect)[];
  places: readonly (typeof ownPlace.$inferSelect)[];
  remarks: readonly (typeof comment.$inferSelect)[];
}>;

/** Everything that is kept about a pupil, of every table that knows the pupil, in the order of time. */
export async function exportPupil(db: Db, pupilId: string, className: string, nowMs: number): Promise<PupilRecord> {
  const { name, reference, leftAtMs } = findPupil(db, pupilId)!;
  const rows: Rows = {
    answers: db.select().from(response).where(eq(response.pupilId, pupilId)).orderBy(asc(response.receivedAtMs)).all(),
    joins: db.select().from(participant).where(eq(participant.pupilId, pupilId)).orderBy(asc(participant.joinedAtMs)).all(),
    places: db.select().from(ownPlace).where(eq(ownPlace.pupilId, pupilId)).all(),
    remarks: db.select().from(comment).where(eq(comment.pupilId, pupilId)).orderBy(asc(comment.atMs)).all(),
  };
  const queries = sessionQueries(db);
  const lessons: RecordedLesson[] = [];
  for (const sessionId of new Set([...rows.answers, ...rows.joins, ...rows.places].map((row) => row.sessionId))) {
    await setImmediate();
    lessons.push(lessonOf(queries, sessionId, rows));
  }
  const page = db.select().from(homePage).where(eq(homePage.pupilId, pupilId)).get();
  const move = db.select().from(groupMove).where(eq(groupMove.pupilId, pupilId)).get();
  return {
    format: 'zeitpunkt-pupil-data',
    formatVersion: 2,
    exportedAt: iso(nowMs),
    class: className,
    name,
    reference,
    leftAt: isoOrNull(leftAtMs),
    cardMadeAt: isoOrNull(db.select().from(card).where(eq(card.pupilId, pupilId)).get()?.madeAtMs),
    lessons: lessons.sort((one, other) => one.taughtAt.localeCompare(other.taughtAt)),
    remarks: rows.remarks.filter(({ responseId }) => responseId === null).map(remarkOf),
    pageForHome: page ? { can: page.can, next: page.next, tryThis: page.tryThis, at: iso(page.atMs) } : null,
    group: move ? { key: move.key, at: iso(move.atMs) } : null,
    sheets: db
      .select({ code: sheet.code, version: sheetCopy.version, madeAtMs: sheet.madeAtMs })
      .from(sheetCopy)
      .innerJoin(sheet, eq(sheet.id, sheetCopy.sheetId))
      .where(eq(sheetCopy.pupilId, pupilId))
      .orderBy(asc(sheet.madeAtMs))
      .all()
      .map(({ code, version, madeAtMs }) => ({ code, version, madeAt: iso(madeAtMs) })),
  };
}

function lessonOf(queries: SessionQueries, sessionId: string, rows: Rows): RecordedLesson {
  const { lesson, createdAtMs, room, pace } = readSession(queries, sessionId)!;
  const { settings, title } = lesson.lesson;
  const corrections = queries.corrections(sessionId);
  const of = <Row extends { readonly sessionId: string }>(all: readonly Row[]) => all.filter((row) => row.sessionId === sessionId);
  const [place] = of(rows.places);
  return {
    title,
    taughtAt: iso(createdAtMs),
    pace,
    settings,
    came: of(rows.joins).map(({ joinedAtMs, admittedAtMs, releasedAtMs }) => ({
      at: iso(joinedAtMs),
      admittedAt: isoOrNull(admittedAtMs),
      leftAt: isoOrNull(releasedAtMs),
    })),
    own: place ? { heardAt: isoOrNull(place.heardAtMs), finishedAt: isoOrNull(place.finishedAtMs), line: place.line } : null,
    answers: of(rows.answers).map((row): RecordedAnswer => {
      const item = room.run.askings.find(({ id }) => id === row.askingId)?.item ?? null;
      const given = readable(() => stored.response(row.given, 'the pupil'));
      const mark = readable(() => stored.mark(row.mark, 'the pupil'));
      const correction = corrections.get(row.id);
      return {
        question: item && kindOf(item).viewOf(item, settings).stem,
        item,
        answer: item && given && textOfResponse(item, given, settings),
        given: given ?? row.given,
        attempt: row.attempt,
        verdict: mark?.verdict ?? null,
        possibleIdeas: mark?.misconceptions ?? [],
        saidToPupil: mark?.sayToPupil ?? '',
        corrected: correction
          ? { verdict: stored.mark(correction.mark, 'the pupil').verdict, reason: correction.reason, at: iso(correction.atMs) }
          : null,
        remarks: rows.remarks.filter(({ responseId }) => responseId === row.id).map(remarkOf),
        responseTimeMs: row.responseTimeMs,
        receivedAt: iso(row.receivedAtMs),
        source: row.source,
        late: row.late,
        counts: row.counted,
      };
    }),
  };
}

const remarkOf = ({ text, atMs }: typeof comment.$inferSelect) => ({ text, at: iso(atMs) });
const iso = (ms: number) => new Date(ms).toISOString();
const isoOrNull = (ms: number | null | undefined) => (ms === null || ms === undefined ? null : iso(ms));

/** What was kept and cannot be read any more stands in the file as it is kept. */
function readable<Value>(read: () => Value): Value | null {
  try {
    return read();
  } catch (error) {
    if (error instanceof CoreError) return null;
    throw error;
  }
}
