import { randomUUID } from 'node:crypto';
import { CoreError } from '@zeitpunkt/core/errors';
import { writeMark } from '@zeitpunkt/core/formats/stored';
import { wordingsOf } from '@zeitpunkt/core/question-kinds/class-wordings';
import { correctedMark } from '@zeitpunkt/core/question-kinds/corrected-mark';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { SECONDS_PER_HALF_DAY } from '@zeitpunkt/core/time/second-of-day';
import type { MarkCorrect, MarkedResponse, WordingAccept } from '@zeitpunkt/contract';
import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { Work } from '../../work/work.js';
import { stored } from '../../db/stored.js';
import { responseOfRow } from '../../sessions/response-rows.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';
import { readSession, type SessionFrame } from '../../sessions/session-record.js';
import { noteAct } from '../acts/gives.js';
import type { ReviewQueries } from './queries.js';
import type { MadeRight } from './made-right.js';

export interface MarksNeeds {
  readonly store: Store;
  readonly rooms: Pick<RoomDirectory, 'queries' | 'head'>;
  readonly work: Work;
  readonly review: ReviewQueries;
  readonly nowMs: () => number;
  readonly events: Events;
}

/** Corrections of marks, and the wordings of a class: the mark that was given at first always stays beside. */
export class Marks {
  constructor(private readonly needs: MarksNeeds) {}

  /** Corrects the mark of a response; sent again it changes nothing. @throws CoreError NOT_FOUND */
  correct(sessionId: string, teacherId: string, responseId: string, { id, verdict, reason }: MarkCorrect): MarkedResponse {
    const { review, nowMs } = this.needs;
    const { record, row: given } = this.mustFind(sessionId, teacherId, responseId);
    const first = stored.mark(given.mark, 'the pupil');
    const mark = correctedMark(itemIn(record, given.askingId), stored.response(given.given, 'the pupil'), first, verdict, record.lesson.lesson.settings); // prettier-ignore
    const row = { id, responseId, mark: writeMark(mark), was: first.verdict, reason, wordingId: null, atMs: nowMs() };
    const about = record.lesson.lesson.title;
    this.together(() => {
      if (review.insertCorrection(row).changes > 0)
        noteAct(this.needs.store.db, { act: 'response-corrected', atMs: nowMs(), teacherId, about, count: 1 });
    });
    return this.told(sessionId, responseId);
  }

  /** The response is marked as at first. @throws CoreError NOT_FOUND */
  undo(sessionId: string, teacherId: string, responseId: string): MarkedResponse {
    const { store, review, nowMs } = this.needs;
    const { record } = this.mustFind(sessionId, teacherId, responseId);
    this.together(() => {
      if (review.undoCorrections(responseId, nowMs()).changes === 0) return;
      noteAct(store.db, { act: 'correction-undone', atMs: nowMs(), teacherId, about: record.lesson.lesson.title, count: 1 });
    });
    return this.told(sessionId, responseId);
  }

  /**
   * Lets a wording count for the time of the question that it was written to: in all answers of the class, those to come
   * included. Sent again it changes nothing.
   * @param classId a class of the teacher
   * @throws CoreError NOT_FOUND where the response is not the class's, or does not say so
   */
  async accept(classId: string, teacherId: string, { id, responseId, wording }: WordingAccept): Promise<void> {
    const { rooms, review, store, work, nowMs } = this.needs;
    const row = rooms.queries.response(responseId);
    const record = row && readSession(rooms.queries, row.sessionId);
    if (!row || record?.classId !== classId) throw new CoreError('NOT_FOUND', 'There is no such answer in this class.');
    const item = itemIn(record, row.askingId);
    const written = wordingsOf(item, stored.response(row.given, 'the pupil'), record.lesson.lesson.settings);
    if (!written.includes(wording)) throw new CoreError('NOT_FOUND', 'This answer does not say so, or it counts already.');
    const timeSec = kindOf(item).timesOf(item)[0]! % SECONDS_PER_HALF_DAY;
    const accepted = { wording, timeSec };
    // Answers are looked through before anything is changed, so that it is done whole or not at all.
    const found = await work.ask('madeRight', classId, accepted);
    store.sqlite
      .transaction(() => {
        review.insertWording({ id, classId, ...accepted, atMs: nowMs(), undoneAtMs: null });
        this.correctAll(found, id, wording);
        noteAct(store.db, { act: 'wording-accepted', atMs: nowMs(), teacherId, about: wording });
      })
      .immediate();
    this.needs.events.emit('wordingsChanged', { classId });
    // Whatever came in while the others were looked through.
    const late = await work.ask('madeRight', classId, accepted);
    store.sqlite.transaction(() => this.correctAll(late, id, wording)).immediate();
    for (const { sessionId, responseId } of [...found, ...late]) this.needs.events.emit('responseCorrected', { sessionId, responseId });
  }

  private correctAll(found: readonly MadeRight[], wordingId: string, wording: string): void {
    const { review, nowMs } = this.needs;
    const reason = `“${wording}” counts in this class.`;
    for (const { responseId, was, mark } of found) {
      review.insertCorrection({ id: randomUUID(), responseId, mark: writeMark(mark), was, reason, wordingId, atMs: nowMs() });
    }
  }

  /** A wording does not count any more, nor did it. @throws CoreError NOT_FOUND */
  takeBack(classId: string, teacherId: string, wordingId: string): void {
    const { store, review, nowMs, rooms } = this.needs;
    const accepted = review.wording(wordingId);
    if (accepted?.classId !== classId) throw new CoreError('NOT_FOUND', 'This class has no such wording.');
    const undone = this.together(() => {
      if (accepted.undoneAtMs === null) noteAct(store.db, { act: 'wording-taken-back', atMs: nowMs(), teacherId, about: accepted.wording });
      review.undoWording(wordingId, nowMs());
      return review.undoByWording(wordingId, nowMs());
    });
    this.needs.events.emit('wordingsChanged', { classId });
    for (const { responseId } of undone) {
      const { sessionId } = rooms.queries.response(responseId)!;
      this.needs.events.emit('responseCorrected', { sessionId, responseId });
    }
  }

  /** What belongs together is written together. */
  private together<T>(work: () => T): T {
    return this.needs.store.sqlite.transaction(work).immediate();
  }

  private told(sessionId: string, responseId: string): MarkedResponse {
    const { queries } = this.needs.rooms;
    this.needs.events.emit('responseCorrected', { sessionId, responseId });
    return responseOfRow(queries.response(responseId)!, 'the pupil', queries.correctionOf(responseId));
  }

  private mustFind(sessionId: string, teacherId: string, responseId: string) {
    const { rooms } = this.needs;
    rooms.head(sessionId, teacherId);
    const row = rooms.queries.response(responseId);
    const record = readSession(rooms.queries, sessionId);
    if (!record || row?.sessionId !== sessionId) throw new CoreError('NOT_FOUND', 'There is no such answer in this lesson.');
    return { record, row };
  }
}

function itemIn({ room }: SessionFrame, askingId: string) {
  const asking = room.run.askings.find(({ id }) => id === askingId);
  if (!asking) throw new CoreError('NOT_FOUND', 'The question of this answer is not known any more.');
  return asking.item;
}
