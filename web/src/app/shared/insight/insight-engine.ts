import type { PupilPicture } from '@zeitpunkt/core/insight/class-picture';
import type { InsightAnswer } from '@zeitpunkt/core/insight/insight-answer';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { rungOfItem } from '@zeitpunkt/core/insight/rung-of-item';
import { foresee, isForgotten } from '@zeitpunkt/core/diagnosis/diagnose';
import { InsightBook } from '@zeitpunkt/core/insight/insight-book';
import type { InsightLine } from '@zeitpunkt/contract';
import type { AnswerInLesson, ClassInsight, InsightLesson, InsightQuestion, InsightReplies } from './insight-messages';

/** What of the whole work reading is; the rest is looking at each pupil's answers. */
const READING = 0.4;

/** Of ideas that are less probable nothing is said. */
const SAID_FROM = 0.1;

/** Answers what is asked about a class from all its answers, which it reads once. It runs in a worker, and in tests without one. */
export class InsightEngine {
  private book = new InsightBook([], []);
  private lessons = new Map<string, InsightLesson & { readonly names: ReadonlyMap<string, string> }>();
  private names = new Map<string, string>();
  private readonly schools = new Map<string, LessonSettings>();

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
      else answers.push(...this.take(line, nowMs));
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
      picture: this.book.picture(pictures.map(lightened), nowMs),
      lessons: [...this.lessons.values()].map(({ names: _names, ...lesson }) => lesson),
      unreadable,
      reached: this.book.reached,
      settings: this.book.settings,
    };
  }

  private take(line: Extract<InsightLine, { readonly line: 'session' }>, nowMs: number): InsightAnswer[] {
    const { id: sessionId, title, createdAtMs, pace, rung, askings } = line;
    const settings = this.oneOf(line.settings);
    const names = new Map(askings.map(({ id }, index) => [id, String(index + 1)]));
    this.lessons.set(sessionId, { id: sessionId, title, createdAtMs, pace, answers: line.answers.length, names });
    const asked = new Map(askings.map(({ id, item }) => [id, { item, rung: rungOfItem(item, { rung }) }]));
    return line.answers.flatMap(({ ideas: _ideas, ...one }) => {
      const question = asked.get(one.askingId);
      if (!question) return [];
      const answer: InsightAnswer = { ...one, ...question, sessionId, settings };
      // While the next lesson is on its way there is time for it.
      if (!isForgotten(answer.atMs, nowMs)) foresee(answer);
      return [answer];
    });
  }

  /** Lessons of one school share one object: what is worked out for it once is known for all of them. */
  private oneOf(settings: LessonSettings): LessonSettings {
    const text = JSON.stringify(settings);
    const known = this.schools.get(text) ?? settings;
    this.schools.set(text, known);
    return known;
  }

  private inLesson(answer: InsightAnswer): AnswerInLesson {
    const lesson = this.lessons.get(answer.sessionId);
    return {
      ...answer,
      pupilName: this.names.get(answer.pupilId) ?? '',
      lessonTitle: lesson?.title ?? '',
      question: lesson?.names.get(answer.askingId) ?? '',
    };
  }
}

/** Without the answers of ideas of which nothing is said: there are many, and all of it goes to the page. */
function lightened(pupil: PupilPicture): PupilPicture {
  const ideas = pupil.diagnosis.ideas.map((one) => (one.probability < SAID_FROM ? { ...one, evidence: [], unlike: [] } : one));
  return { ...pupil, diagnosis: { ...pupil.diagnosis, ideas } };
}
