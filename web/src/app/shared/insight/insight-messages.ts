import type { ClassChange } from '@zeitpunkt/core/insight/change';
import type { ClassPicture } from '@zeitpunkt/core/insight/class-picture';
import type { InsightAnswer } from '@zeitpunkt/core/insight/insight-answer';
import type { AnswerFilter, MasteryPoint } from '@zeitpunkt/core/insight/insight-book';
import type { RungId } from '@zeitpunkt/core/ladder/registry';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { ToldProblem } from '../told-problem';

/** A lesson of a class, as insight knows it. */
export interface InsightLesson {
  readonly id: string;
  readonly title: string;
  readonly createdAtMs: number;
  readonly pace: 'live' | 'own';
  /** Answers that count. */
  readonly answers: number;
}

/** What is known of a class, with what it comes from. */
export interface ClassInsight {
  readonly classId: string;
  readonly className: string;
  readonly picture: ClassPicture;
  /** The oldest first. */
  readonly lessons: readonly InsightLesson[];
  /** Why each lesson that cannot be read is missing. */
  readonly unreadable: readonly string[];
  /** The highest rung on which anything was asked. */
  readonly reached: RungId | null;
  /** The schools of the latest lesson. */
  readonly settings: LessonSettings;
}

/** An answer with the lesson it was given in. */
export interface AnswerInLesson extends InsightAnswer {
  readonly pupilName: string;
  readonly lessonTitle: string;
  /** What it is called in its lesson: its number in the order asked, from 1. */
  readonly question: string;
}

/** What the page asks of the worker. `id` names the question, so that the answer finds it. */
export type InsightQuestion =
  | { readonly id: number; readonly ask: 'open'; readonly classId: string; readonly nowMs: number }
  | { readonly id: number; readonly ask: 'answers'; readonly filter: AnswerFilter }
  | { readonly id: number; readonly ask: 'change'; readonly fromMs: number; readonly toMs: number }
  | { readonly id: number; readonly ask: 'weeks'; readonly pupilId: string };

/** What comes back for each question. */
export interface InsightReplies {
  readonly open: ClassInsight;
  readonly answers: readonly AnswerInLesson[];
  readonly change: ClassChange;
  readonly weeks: readonly MasteryPoint[];
}

export type InsightNews =
  | { readonly id: number; readonly type: 'progress'; readonly part: number }
  | { readonly id: number; readonly type: 'done'; readonly reply: InsightReplies[keyof InsightReplies] }
  | { readonly id: number; readonly type: 'failed'; readonly problem: ToldProblem };
