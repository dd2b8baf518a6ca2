import { and, asc, count, eq, isNull } from 'drizzle-orm';
import type { ReviewNotes } from '@zeitpunkt/contract';
import type { Db } from '../../db/connection.js';
import { pupil } from '../../tables/classes.js';
import { acceptedWording, comment, correction, groupMove, homePage } from '../../tables/review.js';

/** Reads and writes of what teachers make of answers. */
export function reviewQueries(db: Db) {
  return {
    insertCorrection: (row: typeof correction.$inferInsert) => db.insert(correction).values(row).onConflictDoNothing().run(),

    /** Takes every correction of a response back that counts. */
    undoCorrections: (responseId: string, undoneAtMs: number) =>
      db
        .update(correction)
        .set({ undoneAtMs })
        .where(and(eq(correction.responseId, responseId), isNull(correction.undoneAtMs)))
        .run(),

    /** Takes the corrections back that a wording brought; returns the responses. */
    undoByWording: (wordingId: string, undoneAtMs: number) =>
      db
        .update(correction)
        .set({ undoneAtMs })
        .where(and(eq(correction.wordingId, wordingId), isNull(correction.undoneAtMs)))
        .returning({ responseId: correction.responseId })
        .all(),

    insertWording: (row: typeof acceptedWording.$inferInsert) => db.insert(acceptedWording).values(row).onConflictDoNothing().run(),

    wording: (id: string) => db.select().from(acceptedWording).where(eq(acceptedWording.id, id)).get(),

    undoWording: (id: string, undoneAtMs: number) => db.update(acceptedWording).set({ undoneAtMs }).where(eq(acceptedWording.id, id)).run(),

    insertComment: (row: typeof comment.$inferInsert) => db.insert(comment).values(row).onConflictDoNothing().run(),

    deleteComment: (id: string, pupilId: string) =>
      db
        .delete(comment)
        .where(and(eq(comment.id, id), eq(comment.pupilId, pupilId)))
        .run(),

    move: (row: typeof groupMove.$inferInsert) =>
      db
        .insert(groupMove)
        .values(row)
        .onConflictDoUpdate({ target: [groupMove.classId, groupMove.pupilId], set: { key: row.key, atMs: row.atMs } })
        .run(),

    moveBack: (classId: string, pupilId: string) =>
      db
        .delete(groupMove)
        .where(and(eq(groupMove.classId, classId), eq(groupMove.pupilId, pupilId)))
        .run(),

    keepHomePage: (row: typeof homePage.$inferInsert) => {
      const { pupilId: _pupil, ...page } = row;
      db.insert(homePage).values(row).onConflictDoUpdate({ target: homePage.pupilId, set: page }).run();
    },

    dropHomePage: (pupilId: string) => db.delete(homePage).where(eq(homePage.pupilId, pupilId)).run(),

    /** All that teachers themselves made of a class. */
    notes: (classId: string): ReviewNotes => notesOf(db, classId),
  };
}

export type ReviewQueries = ReturnType<typeof reviewQueries>;

const notesOf = (db: Db, classId: string): ReviewNotes => ({
  comments: db
    .select({ id: comment.id, pupilId: comment.pupilId, responseId: comment.responseId, text: comment.text, atMs: comment.atMs })
    .from(comment)
    .innerJoin(pupil, eq(pupil.id, comment.pupilId))
    .where(eq(pupil.classId, classId))
    .orderBy(asc(comment.atMs))
    .all(),
  moves: db
    .select({ pupilId: groupMove.pupilId, key: groupMove.key })
    .from(groupMove)
    .innerJoin(pupil, eq(pupil.id, groupMove.pupilId))
    .where(and(eq(groupMove.classId, classId), eq(pupil.classId, classId)))
    .all(),
  wordings: db
    .select({
      id: acceptedWording.id,
      wording: acceptedWording.wording,
      timeSec: acceptedWording.timeSec,
      atMs: acceptedWording.atMs,
      answers: count(correction.id),
    })
    .from(acceptedWording)
    .leftJoin(correction, and(eq(correction.wordingId, acceptedWording.id), isNull(correction.undoneAtMs)))
    .where(and(eq(acceptedWording.classId, classId), isNull(acceptedWording.undoneAtMs)))
    .groupBy(acceptedWording.id)
    .orderBy(asc(acceptedWording.atMs))
    .all(),
  homePages: db
    .select({ page: homePage })
    .from(homePage)
    .innerJoin(pupil, eq(pupil.id, homePage.pupilId))
    .where(eq(pupil.classId, classId))
    .all()
    .map(({ page: { pupilId, atMs, ...page } }) => ({ pupilId, page, atMs })),
});
