import type { Lesson } from '../lesson/lesson.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import type { StepRef } from '../lesson/step-ref.js';

/** Something a rule found in a lesson. */
export interface Finding {
  /** The step it is about; null where it is about the whole lesson. */
  readonly at: StepRef | null;
  /** What is there, in one sentence. */
  readonly what: string;
  /** Why that matters, in one sentence. */
  readonly why: string;
  readonly mend: Mend;
}

/** A change that takes the finding away. */
export interface Mend {
  /** What the button says: "Give it 20 s". */
  readonly label: string;
  readonly apply: (lesson: Lesson) => Lesson;
}

/** One thing that the checker looks for. */
export interface CheckerRule {
  /** An error must be mended before teaching; a warning is for the teacher to weigh. */
  readonly severity: 'error' | 'warning';
  readonly find: (prepared: PreparedLesson) => readonly Finding[];
}
