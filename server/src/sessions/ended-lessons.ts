import { CoreError } from '@zeitpunkt/core/errors';
import type { Asking } from '@zeitpunkt/core/run/asking';
import type { MarkedResponse, ResponseKept, ResponsePost } from '@zeitpunkt/contract';
import { Answers, type AnswersNeeds } from './answers.js';
import { readSession } from './session-record.js';

/** So many lessons that have ended still get answers at once. */
const MOST_KEPT = 12;

interface Ended {
  readonly classId: string;
  readonly answers: Answers;
  readonly askings: readonly Asking[];
  /** Whose attempts at which asking are known. */
  readonly known: Set<string>;
}

/** Answers to lessons that are over: late ones, and those that the teacher types from paper, one after the other. */
export class EndedLessons {
  /** By session, what was not wanted for longest first. */
  private readonly kept = new Map<string, Ended>();

  constructor(private readonly needs: AnswersNeeds) {}

  /** @throws CoreError QUESTION_NOT_OPEN, RESPONSE_SHAPE, RESPONSE_ID_TAKEN */
  keep(sessionId: string, pupilId: string, post: ResponsePost, source?: MarkedResponse['source']): Promise<ResponseKept> {
    const { answers, askings, known } = this.of(sessionId);
    const place = `${pupilId} ${post.askingId}`;
    if (!known.has(place)) answers.readAttempts({ pupilId, askingId: post.askingId });
    known.add(place);
    const asking = askings.find(({ id }) => id === post.askingId);
    return answers.keep(pupilId, post, asking, source);
  }

  /** @throws CoreError NOT_FOUND */
  count(sessionId: string, responseId: string, counted: boolean): void {
    this.of(sessionId).answers.count(responseId, counted);
  }

  /** @throws CoreError NOT_FOUND */
  takeBack(sessionId: string, responseId: string): void {
    this.of(sessionId).answers.takeBack(responseId);
  }

  /** Pupils, answers or wordings of a class have changed otherwise: its lessons are read anew. */
  forgetClass(classId: string): void {
    for (const [id, one] of this.kept) if (one.classId === classId) this.kept.delete(id);
  }

  private of(sessionId: string): Ended {
    const one = this.kept.get(sessionId) ?? this.read(sessionId);
    this.kept.delete(sessionId);
    this.kept.set(sessionId, one);
    if (this.kept.size > MOST_KEPT) this.kept.delete(this.kept.keys().next().value!);
    return one;
  }

  private read(sessionId: string): Ended {
    const frame = readSession(this.needs.queries, sessionId);
    if (!frame) throw new CoreError('NOT_FOUND', 'There is no such lesson run.');
    const { classId, lesson, room } = frame;
    const answers = new Answers(sessionId, [], lesson.lesson.settings, this.needs, () => undefined);
    return { classId, answers, askings: room.run.askings, known: new Set() };
  }
}
