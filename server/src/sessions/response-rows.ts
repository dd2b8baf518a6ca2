import type { MarkedResponse } from '@zeitpunkt/contract';
import { stored } from '../db/stored.js';
import type { response } from '../tables/sessions.js';
import type { SessionQueries } from './queries.js';
import type { MarkedOnce } from './shared-marks.js';

/**
 * A response as its row in the database has it, with the mark that counts: the first one, or the one that it was corrected to.
 * @throws CoreError where what was given or its mark cannot be read
 */
export function responseOfRow(
  row: NonNullable<ReturnType<SessionQueries['response']>>,
  whose: string,
  correction: ReturnType<SessionQueries['correctionOf']>,
): MarkedResponse {
  const { sessionId: _session, given, mark, late, waitedMs, closedAtMs, counted, ...rest } = row;
  return {
    ...rest,
    response: stored.response(given, whose),
    mark: stored.mark(correction?.mark ?? mark, whose),
    late: late ? { givenAtMs: rest.receivedAtMs - waitedMs, closedAtMs, counted } : null,
    correction: correction
      ? {
          was: correction.was,
          saidThen: stored.mark(mark, whose).sayToPupil,
          reason: correction.reason,
          atMs: correction.atMs,
          byWording: correction.wordingId !== null,
        }
      : null,
  };
}

/** A response as it is stored. */
export function rowOf(
  sessionId: string,
  marked: MarkedResponse,
  { storedResponse, storedMark }: MarkedOnce,
): Required<typeof response.$inferInsert> {
  const { id, pupilId, askingId, attempt, responseTimeMs, receivedAtMs, source, late } = marked;
  return {
    id,
    sessionId,
    pupilId,
    askingId,
    attempt,
    given: storedResponse,
    mark: storedMark,
    responseTimeMs,
    receivedAtMs,
    late: late !== null,
    waitedMs: late ? receivedAtMs - late.givenAtMs : 0,
    closedAtMs: late?.closedAtMs ?? null,
    source,
    counted: late === null,
  };
}

/** A response as it is told when it comes, made from the JSON that all who gave the same share. */
export function jsonOf(marked: MarkedResponse, { toldResponse, toldMark }: MarkedOnce): string {
  const { id, pupilId, askingId, attempt, responseTimeMs, receivedAtMs, source, late } = marked;
  const own = JSON.stringify({ id, pupilId, askingId, attempt, responseTimeMs, receivedAtMs, source, late, correction: null });
  return `${own.slice(0, -1)},"response":${toldResponse},"mark":${toldMark}}`;
}
