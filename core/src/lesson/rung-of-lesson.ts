import { rungIdOf, type RungId } from '../ladder/registry.js';
import { kindOf } from '../question-kinds/registry.js';
import type { Lesson } from './lesson.js';

/** The rung of a lesson: its own, or the one that its questions stand on. */
export function rungOfLesson(lesson: Lesson): RungId {
  return lesson.rung ?? rungIdOf(lesson.items.flatMap((item) => kindOf(item).timesOf(item)));
}
