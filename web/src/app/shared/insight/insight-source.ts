import { Injectable } from '@angular/core';
import type { ClassChange } from '@zeitpunkt/core/insight/change';
import type { AnswerFilter, MasteryPoint } from '@zeitpunkt/core/insight/insight-book';
import type { AnswerInLesson, ClassInsight, InsightNews, InsightQuestion, InsightReplies } from './insight-messages';
import { ApiProblem } from '../api';
import { errorOf } from '../told-problem';

type WithoutId<Question> = Question extends { readonly id: number } ? Omit<Question, 'id'> : never;

interface Waiting {
  readonly onProgress: (part: number) => void;
  resolve(reply: unknown): void;
  reject(error: Error): void;
}

/** What is known of a class: read and computed in a worker, so that the page stays quick. */
@Injectable()
export class InsightSource {
  private worker: Worker | null = null;
  private readonly waiting = new Map<number, Waiting>();
  private last = 0;

  /** Reads all answers of a class and looks at every pupil. */
  open(classId: string, nowMs: number, onProgress: (part: number) => void): Promise<ClassInsight> {
    return this.ask<'open'>({ ask: 'open', classId, nowMs }, onProgress);
  }

  answers(filter: AnswerFilter): Promise<readonly AnswerInLesson[]> {
    return this.ask<'answers'>({ ask: 'answers', filter });
  }

  change(fromMs: number, toMs: number): Promise<ClassChange> {
    return this.ask<'change'>({ ask: 'change', fromMs, toMs });
  }

  /** The mastery of a pupil after each lesson. */
  weeks(pupilId: string): Promise<readonly MasteryPoint[]> {
    return this.ask<'weeks'>({ ask: 'weeks', pupilId });
  }

  /** Gives up whatever is asked. */
  stop(): void {
    this.end(new ApiProblem('STOPPED', 'This was given up.'));
  }

  /** The worker is over, and with it what it read: the next one begins with `open`. */
  private end(why: ApiProblem): void {
    this.worker?.terminate();
    this.worker = null;
    for (const { reject } of this.waiting.values()) reject(why);
    this.waiting.clear();
  }

  private async ask<Asked extends keyof InsightReplies>(
    question: WithoutId<Extract<InsightQuestion, { readonly ask: Asked }>>,
    onProgress: (part: number) => void = () => undefined,
  ): Promise<InsightReplies[Asked]> {
    const { startInsight } = await import('./start-insight');
    if (!this.worker && question.ask !== 'open') throw brokenOff();
    const worker = (this.worker ??= this.listenTo(startInsight()));
    const id = (this.last += 1);
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { onProgress, resolve: resolve as (reply: unknown) => void, reject });
      worker.postMessage({ ...question, id });
    });
  }

  private listenTo(worker: Worker): Worker {
    worker.onmessage = ({ data }: MessageEvent<InsightNews>) => {
      const one = this.waiting.get(data.id);
      if (data.type === 'progress') return one?.onProgress(data.part);
      this.waiting.delete(data.id);
      if (data.type === 'done') one?.resolve(data.reply);
      else one?.reject(errorOf(data.problem));
    };
    worker.onerror = () => this.end(brokenOff());
    return worker;
  }
}

const brokenOff = () => new ApiProblem('NOT_LOOKED_THROUGH', 'The answers could not be looked through on this device.');
