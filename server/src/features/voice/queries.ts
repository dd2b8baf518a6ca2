import { and, asc, count, eq, lt, ne, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { writeTake } from '@zeitpunkt/core/formats/stored';
import type { StepRef } from '@zeitpunkt/core/lesson/step-ref';
import type { Take } from '@zeitpunkt/core/voice/take';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { recording, take, takePiece } from '../../tables/voice.js';

const DAY_MS = 86_400_000;
/** A recording is kept for a school year where nothing else is said. */
export const USUAL_KEEP_DAYS = 365;

type TakeRow = Pick<typeof take.$inferSelect, 'id' | 'lessonId' | 'beatId' | 'step' | 'state' | 'mime' | 'document'>;

/** All of a take but its sound, which is large. */
const WITHOUT_SOUND = {
  id: take.id,
  lessonId: take.lessonId,
  beatId: take.beatId,
  step: take.step,
  state: take.state,
  mime: take.mime,
  document: take.document,
};

const ofStep = (lessonId: string, { beatId, step }: StepRef) =>
  and(eq(take.lessonId, lessonId), eq(take.beatId, beatId), eq(take.step, step));

/** All takes of a lesson without their sound, those that are coming too. */
export function rowsOf(db: Db, lessonId: string): TakeRow[] {
  return db.select(WITHOUT_SOUND).from(take).where(eq(take.lessonId, lessonId)).orderBy(asc(take.id)).all();
}

export function takeOf({ document, beatId, step }: TakeRow): Take {
  return stored.take(document, `step “${beatId}/${step}”`);
}

export function rowOf(db: Db, takeId: string): TakeRow | undefined {
  return db.select(WITHOUT_SOUND).from(take).where(eq(take.id, takeId)).get();
}

/** Whether the sound of a take has come whole. */
export function hasSound(db: Db, takeId: string): boolean {
  const row = db
    .select({ has: sql<number>`${take.sound} IS NOT NULL` })
    .from(take)
    .where(eq(take.id, takeId))
    .get();
  return row?.has === 1;
}

/** The sound of a take; undefined until it has come whole. */
export function soundOf(db: Db, takeId: string): { readonly sound: Buffer; readonly mime: string } | undefined {
  const row = db.select({ sound: take.sound, mime: take.mime }).from(take).where(eq(take.id, takeId)).get();
  return row?.sound ? { sound: row.sound, mime: row.mime } : undefined;
}

export function recordingOf(db: Db, lessonId: string) {
  return db.select().from(recording).where(eq(recording.lessonId, lessonId)).get();
}

/** The lesson has a recording, which was added to now. */
export function touchRecording(db: Db, lessonId: string, nowMs: number): void {
  db.insert(recording)
    .values({ lessonId, keepDays: USUAL_KEEP_DAYS, changedAtMs: nowMs })
    .onConflictDoUpdate({ target: recording.lessonId, set: { changedAtMs: nowMs } })
    .run();
}

export function setKeepDays(db: Db, lessonId: string, keepDays: number): void {
  db.update(recording).set({ keepDays }).where(eq(recording.lessonId, lessonId)).run();
}

export function insertTake(db: Db, lessonId: string, { id, at, mime }: Pick<Take, 'id' | 'at' | 'mime'>): void {
  db.insert(take).values({ id, lessonId, beatId: at.beatId, step: at.step, state: 'coming', mime, document: null, sound: null }).run();
}

/** What comes in pieces: a take as the microphone gave it, or its finished sound. */
export type Coming = 'take' | 'sound';

const ofTake = (takeId: string, what: Coming) => and(eq(takePiece.takeId, takeId), eq(takePiece.what, what));

/** How many pieces are there, from the first on. */
export function piecesOf(db: Db, takeId: string, what: Coming): number {
  return db.select({ pieces: count() }).from(takePiece).where(ofTake(takeId, what)).get()!.pieces;
}

export function insertPiece(db: Db, takeId: string, what: Coming, number: number, bytes: Buffer): void {
  db.insert(takePiece).values({ takeId, what, number, bytes }).onConflictDoNothing().run();
}

/** How many bytes have come. */
export function bytesCome(db: Db, takeId: string, what: Coming): number {
  const bytes = sql<number>`coalesce(sum(length(${takePiece.bytes})), 0)`;
  return db.select({ bytes }).from(takePiece).where(ofTake(takeId, what)).get()!.bytes;
}

/** What has come, put together. */
export function cameOf(db: Db, takeId: string, what: Coming): Buffer {
  const rows = db.select({ bytes: takePiece.bytes }).from(takePiece).where(ofTake(takeId, what)).orderBy(asc(takePiece.number)).all();
  return Buffer.concat(rows.map(({ bytes }) => bytes));
}

/** The finished sound is sent from its beginning, anew. */
export function forgetSoundPieces(db: Db, takeId: string): void {
  db.delete(takePiece).where(ofTake(takeId, 'sound')).run();
}

/** The whole sound of a take has come: its pieces are not needed any more. */
export function setSound(db: Db, takeId: string, sound: Buffer, mime: string): void {
  db.update(take).set({ sound, mime }).where(eq(take.id, takeId)).run();
  db.delete(takePiece).where(eq(takePiece.takeId, takeId)).run();
}

/** A take becomes the one of its step; the one it follows stays as the one before, and what stood there before goes. */
export function makeCurrent(db: Db, lessonId: string, made: Take): void {
  db.delete(take)
    .where(and(ofStep(lessonId, made.at), eq(take.state, 'before'), ne(take.id, made.id)))
    .run();
  db.update(take)
    .set({ state: 'before' })
    .where(and(ofStep(lessonId, made.at), eq(take.state, 'current'), ne(take.id, made.id)))
    .run();
  writeDocument(db, made, 'current');
}

/** The take before the latest becomes the one of its step, and the latest the one before. @returns whether there was one */
export function bringBack(db: Db, lessonId: string, at: StepRef): boolean {
  const before = db
    .select({ id: take.id })
    .from(take)
    .where(and(ofStep(lessonId, at), eq(take.state, 'before')))
    .get();
  if (!before) return false;
  db.update(take)
    .set({ state: sql`CASE ${take.id} WHEN ${before.id} THEN 'current' ELSE 'before' END` })
    .where(and(ofStep(lessonId, at), ne(take.state, 'coming')))
    .run();
  return true;
}

export function writeDocument(db: Db, made: Take, state: 'current' | 'before'): void {
  db.update(take)
    .set({ document: writeTake(made), state })
    .where(eq(take.id, made.id))
    .run();
}

/** A take alone. */
export function deleteTake(db: Db, takeId: string): void {
  db.delete(take).where(eq(take.id, takeId)).run();
}
export function deleteRecording(db: Db, lessonId: string): void {
  db.delete(recording).where(eq(recording.lessonId, lessonId)).run();
}

/** Lessons whose recording is kept no longer. */
export function dueRecordings(db: Db, nowMs: number): string[] {
  const rows = db
    .select({ lessonId: recording.lessonId })
    .from(recording)
    .where(lt(sql`${recording.changedAtMs} + ${recording.keepDays} * ${DAY_MS}`, nowMs))
    .all();
  return rows.map(({ lessonId }) => lessonId);
}

/** When a recording is deleted, should nothing be added. */
export const deletesAtMs = ({ keepDays, changedAtMs }: typeof recording.$inferSelect): number => changedAtMs + keepDays * DAY_MS;

/** A recording once more, of a lesson's copy: the current take of each step, sounds copied within the database, since they may be large. */
export function copyRecording(db: Db, lessonId: string, toLessonId: string): void {
  const recorded = db.select().from(recording).where(eq(recording.lessonId, lessonId)).get();
  if (!recorded) return;
  db.insert(recording)
    .values({ ...recorded, lessonId: toLessonId })
    .run();
  const current = db
    .select(WITHOUT_SOUND)
    .from(take)
    .where(and(eq(take.lessonId, lessonId), eq(take.state, 'current')))
    .all();
  for (const { id: from, ...row } of current) {
    const id = randomUUID();
    db.insert(take)
      .values({ ...row, id, lessonId: toLessonId, document: writeTake({ ...takeOf({ ...row, id: from }), id }) })
      .run();
    db.run(sql`UPDATE take SET sound = (SELECT sound FROM take WHERE id = ${from}) WHERE id = ${id}`);
  }
}
