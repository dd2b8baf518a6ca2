import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { insertLesson } from './queries.js';
import fiveMinuteSteps from './starter/five-minute-steps-on-the-mail-boat.lesson.json';
import halfPast from './starter/half-past-at-the-harbour.lesson.json';
import quarters from './starter/quarters-at-the-tide-gauge.lesson.json';

/** The lessons every new teacher finds, in the order of the ladder. */
export const STARTER_LESSONS: readonly unknown[] = [halfPast, quarters, fiveMinuteSteps];

/** Gives a teacher the starter lessons; returns their ids in order. */
export function installStarterLessons(db: Db, teacherId: string): string[] {
  return STARTER_LESSONS.map((file, place) => insertLesson(db, { teacherId, file: stored.lesson(file), place }));
}
