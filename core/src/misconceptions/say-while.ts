import type { ActId } from '../acts/acts.js';
import type { LessonSettings } from '../lesson/settings.js';
import { changesAnyOf } from './distorted-acts.js';
import { misconceptionOf, type MisconceptionId } from './registry.js';

/**
 * The sentence for a pupil with an idea: the one for the first act of the task that the idea distorts.
 * @param doing the acts of the task, the first one first
 */
export function sayToPupilWhile(id: MisconceptionId, doing: readonly ActId[], settings: LessonSettings): string {
  const idea = misconceptionOf(id);
  const act = doing.find((one) => changesAnyOf(id, [one], settings));
  return ((act && idea.sayWhile?.[act]) ?? idea.sayToPupil)(settings);
}
