import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { participant, response } from '../../tables/sessions.js';
import { ownPlace } from '../../tables/own-pace.js';
import { sheetCopy } from '../../tables/paper.js';
import { comment, groupMove, homePage } from '../../tables/review.js';
import { deletePupil } from './queries.js';
import { card } from '../../tables/classes.js';

/**
 * Makes two pupils one: whatever points to the one points to the other, table by table. Where there can be one of a kind only
 * and both have it, what is said below of its table counts. Runs inside a transaction of whoever calls.
 */
export function mergePupils(db: Db, goes: string, stays: string, nowMs: number): void {
  mergeParticipants(db, goes, stays, nowMs);
  db.update(response).set({ pupilId: stays }).where(eq(response.pupilId, goes)).run();
  countAnew(db, stays);
  db.update(comment).set({ pupilId: stays }).where(eq(comment.pupilId, goes)).run();
  mergePlaces(db, goes, stays);
  mergeCopies(db, goes, stays);
  mergeMoves(db, goes, stays);
  mergeHomePages(db, goes, stays);
  mergeCards(db, goes, stays);
  deletePupil(db, goes);
}

/** Places in rooms move; where both are in the same room, the place of the one who goes is given free. */
function mergeParticipants(db: Db, goes: string, stays: string, nowMs: number): void {
  for (const { id, sessionId } of db.select().from(participant).where(eq(participant.pupilId, goes)).all()) {
    const both = db
      .select({ id: participant.id })
      .from(participant)
      .where(and(eq(participant.sessionId, sessionId), eq(participant.pupilId, stays), isNull(participant.releasedAtMs)))
      .get();
    db.update(participant)
      .set({ pupilId: stays, ...(both && { releasedAtMs: nowMs }) })
      .where(eq(participant.id, id))
      .run();
  }
}

/** Numbers a pupil's attempts at each asking from 1, in the order in which they came. */
function countAnew(db: Db, pupilId: string): void {
  const attempts = db
    .select({ id: response.id, sessionId: response.sessionId, askingId: response.askingId, attempt: response.attempt })
    .from(response)
    .where(eq(response.pupilId, pupilId))
    .orderBy(asc(response.receivedAtMs), asc(response.attempt))
    .all();
  const counted = new Map<string, number>();
  for (const { id, sessionId, askingId, attempt } of attempts) {
    const number = (counted.get(`${sessionId} ${askingId}`) ?? 0) + 1;
    counted.set(`${sessionId} ${askingId}`, number);
    if (number !== attempt) db.update(response).set({ attempt: number }).where(eq(response.id, id)).run();
  }
}

/** In a lesson at own pace that both have, the place of whoever finished it counts, else of whoever was heard of last. */
function mergePlaces(db: Db, goes: string, stays: string): void {
  const placesOf = (pupilId: string) => db.select().from(ownPlace).where(eq(ownPlace.pupilId, pupilId)).all();
  const kept = new Map(placesOf(stays).map((place) => [place.sessionId, place]));
  for (const going of placesOf(goes)) {
    const own = kept.get(going.sessionId);
    const isIn = (pupilId: string) => and(eq(ownPlace.sessionId, going.sessionId), eq(ownPlace.pupilId, pupilId));
    if (!own) db.update(ownPlace).set({ pupilId: stays }).where(isIn(goes)).run();
    else {
      const isFarther = [going.finishedAtMs, own.finishedAtMs].some((at) => at !== null)
        ? own.finishedAtMs === null
        : (going.heardAtMs ?? -1) > (own.heardAtMs ?? -1);
      const { run, heardAtMs, finishedAtMs } = isFarther ? going : own;
      db.update(ownPlace)
        .set({ run, heardAtMs, finishedAtMs, line: own.line || going.line })
        .where(isIn(stays))
        .run();
    }
  }
}

/** Of two copies of a sheet that of the one who stays counts. */
function mergeCopies(db: Db, goes: string, stays: string): void {
  const copiesOf = (pupilId: string) => db.select().from(sheetCopy).where(eq(sheetCopy.pupilId, pupilId)).all();
  const kept = new Set(copiesOf(stays).map(({ sheetId }) => sheetId));
  for (const { sheetId } of copiesOf(goes)) {
    if (kept.has(sheetId)) continue;
    db.update(sheetCopy)
      .set({ pupilId: stays })
      .where(and(eq(sheetCopy.sheetId, sheetId), eq(sheetCopy.pupilId, goes)))
      .run();
  }
}

/** Of two groups into which the teacher put them the later one counts. */
function mergeMoves(db: Db, goes: string, stays: string): void {
  const movesOf = (pupilId: string) => db.select().from(groupMove).where(eq(groupMove.pupilId, pupilId)).all();
  for (const move of movesOf(goes)) {
    const own = movesOf(stays).find(({ classId }) => classId === move.classId);
    if (own && own.atMs >= move.atMs) continue;
    db.insert(groupMove)
      .values({ ...move, pupilId: stays })
      .onConflictDoUpdate({ target: [groupMove.classId, groupMove.pupilId], set: { key: move.key, atMs: move.atMs } })
      .run();
  }
}

/** Of two pages for home the later one counts. */
function mergeHomePages(db: Db, goes: string, stays: string): void {
  const pageOf = (pupilId: string) => db.select().from(homePage).where(eq(homePage.pupilId, pupilId)).get();
  const [going, own] = [pageOf(goes), pageOf(stays)];
  if (!going || (own && own.atMs >= going.atMs)) return;
  const page = { ...going, pupilId: stays };
  db.insert(homePage).values(page).onConflictDoUpdate({ target: homePage.pupilId, set: page }).run();
}

/** The card of the one who stays goes on; where there is none, that of the one who goes does. */
function mergeCards(db: Db, goes: string, stays: string): void {
  const hasOwn = db.select({ pupilId: card.pupilId }).from(card).where(eq(card.pupilId, stays)).get() !== undefined;
  if (!hasOwn) db.update(card).set({ pupilId: stays }).where(eq(card.pupilId, goes)).run();
}
