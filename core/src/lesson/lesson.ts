import type { RungId } from '../ladder/registry.js';
import type { Beat } from '../beats/registry.js';
import type { Item } from '../question-kinds/registry.js';
import type { LessonSettings } from './settings.js';

/** A whole lesson as its file holds it: settings, goal, and an ordered script of beats. */
export interface Lesson {
  readonly format: 'zeitpunkt-lesson';
  /** Version of the file format. */
  readonly formatVersion: 3;
  readonly title: string;
  /** What pupils can do afterwards, in one sentence. */
  readonly goal: string;
  /** How a pupil knows that the goal is reached: "I read … first, then …". */
  readonly successCriteria: readonly string[];
  /** The rung that it is about, where somebody said so; else it is told from the times that are asked. */
  readonly rung?: RungId;
  readonly targetMinutes: number;
  readonly settings: LessonSettings;
  readonly items: readonly Item[];
  readonly beats: readonly Beat[];
}
