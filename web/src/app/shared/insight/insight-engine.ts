import { InsightBook, rungOfItem, type InsightAnswer, type PupilPicture } from '@zeitpunkt/core';
import type { InsightLine } from '@zeitpunkt/contract';
import type { AnswerInLesson, ClassInsight, InsightLesson, InsightQuestion, InsightReplies } from './insight-messages';

/** What of the whole work reading is; the rest is looking at each pupil's answers. */
const READING = 0.4;

/** Answers what is asked about a class from all its answers, which it reads once. It runs in a worker, and in tests without one. */
export class InsightEngine {
  private book = new InsightBook([], []);
  private lessons = new Map<string, InsightLesson & { readonly numbers: ReadonlyMap<string, number> }>();
  private names = new Map<string, string>();

  /** @param linesOf the answers of a class as lines of JSON, as they come */
  constructor(private readonly linesOf: (classId: string) => AsyncIterable<string>) {}

  async answer(question: InsightQuestion, onProgress: (part: number) => void): Promise<InsightReplies[keyof InsightReplies]> {
    switch (question.ask) {
      case 'open':
        return this.open(question.classId, question.nowMs, onProgress);
      case 'answers':
        return this.book.answers(question.filter).map((one) => this.inLesson(one));
      case 'change':
        return this.book.change(question.fromMs, question.toMs);
      case 'weeks':
        return this.book.weeks(question.pupilId);
    }
  }

  private async open(classId: string, nowMs: number, onProgress: (part: number) => void): Promise<ClassInsight> {
    const answers: InsightAnswer[] = [];
    const unreadable: string[] = [];
    let [className, pupils, sessions] = ['', [] as readonly { readonly id: string; readonly name: string }[], 0];
    this.lessons = new Map();
    for await (const text of this.linesOf(classId)) {
      const line = JSON.parse(text) as InsightLine;
      if (line.line === 'class') [className, pupils, sessions] = [line.name, line.pupils, line.sessions];
      else if (line.line === 'unreadable') unreadable.push(line.why);
      else answers.push(...this.take(line));
      onProgress((READING * (this.lessons.size + unreadable.length)) / Math.max(1, sessions));
    }
    this.names = new Map(pupils.map(({ id, name }) => [id, name]));
    // Whoever left the class, or moved to another, is not looked at.
    this.book = new InsightBook(
      pupils,
      answers.filter(({ pupilId }) => this.names.has(pupilId)),
    );
    const pictures: PupilPicture[] = [];
    for (const { id } of pupils) {
      pictures.push(this.book.pupil(id, nowMs));
      onProgress(READING + ((1 - READING) * pictures.length) / pupils.length);
    }
    return {
      classId,
      className,
      picture: this.book.picture(pictures, nowMs),
      lessons: [...this.lessons.values()].map(({ numbers: _numbers, ...lesson }) => lesson),
      unreadable,
      reached: this.book.reached,
      settings: this.book.settings,
    };
  }

  private take(line: Extract<InsightLine, { readonly line: 'session' }>): InsightAnswer[] {
    const { id: sessionId, title, createdAtMs, pace, rung, settings, askings } = line;
    const numbers = new Map(askings.map(({ id }, index) => [id, index + 1]));
    this.lessons.set(sessionId, { id: sessionId, title, createdAtMs, pace, answers: line.answers.length, numbers });
    const asked = new Map(askings.map(({ id, item }) => [id, { item, rung: rungOfItem(item, { rung }) }]));
    return line.answers.flatMap(({ ideas: _ideas, ...one }) => {
      const question = asked.get(one.askingId);
      return question ? [{ ...one, ...question, sessionId, settings }] : [];
    });
  }

  private inLesson(answer: InsightAnswer): AnswerInLesson {
    const lesson = this.lessons.get(answer.sessionId);
    return {
      ...answer,
      pupilName: this.names.get(answer.pupilId) ?? '',
      lessonTitle: lesson?.title ?? '',
      number: lesson?.numbers.get(answer.askingId) ?? 0,
    };
  }
}
