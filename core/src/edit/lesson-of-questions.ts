import type { Item } from '../question-kinds/registry.js';
import type { RungId } from '../ladder/registry.js';
import { emptyLesson } from './empty-lesson.js';
import type { Lesson } from '../lesson/lesson.js';
import type { LessonSettings } from '../lesson/settings.js';

/** Minutes that such a lesson is said to take: it is kept to be reviewed, not to be taught. */
const MINUTES = 5;

/** What such a lesson says of itself. */
interface Head {
  readonly title: string;
  readonly goal: string;
  readonly rung: RungId | null;
  readonly settings: LessonSettings;
}

/** Questions one after another as a lesson, each asked and answered: a sheet of paper, or what is known of a lesson from its results. */
export function lessonOfQuestions({ title, goal, rung, settings }: Head, items: readonly Item[]): Lesson {
  const beats = items.flatMap(({ id: itemId }, index) => [
    { id: `b${2 * index + 1}`, kind: 'ask' as const, itemId, text: '' },
    { id: `b${2 * index + 2}`, kind: 'answer' as const, itemId },
  ]);
  const { rung: _any, ...empty } = emptyLesson(rung ?? 'whole-hours', MINUTES, settings);
  return { ...empty, ...(rung && { rung }), title, goal, items, beats };
}
