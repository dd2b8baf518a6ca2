import {
  checkPlan,
  readClassFile,
  readDialBuild,
  readLesson,
  readMark,
  readPlan,
  readResponse,
  readResult,
  readRoomState,
  readRun,
  readTake,
  prepareLesson,
  type ClassFile,
  type ClassPlan,
  type DialBuild,
  type Lesson,
  type Mark,
  type Response,
  type ResultRow,
  type RoomState,
  type Run,
  type Take,
} from '@zeitpunkt/core';
import {
  ClassFileSchema,
  ClassPlanSchema,
  DialBuildSchema,
  LessonSchema,
  MarkSchema,
  ResponseSchema,
  ResultRowSchema,
  RoomStateSchema,
  RunSchema,
  TakeSchema,
} from '@zeitpunkt/contract';
import { checkOf } from '../http/fits.js';

/** The door to everything that the database holds as JSON, with the schemas of this version; see formats/ in the core. */
export const stored = {
  /**
   * A lesson from the database or from a file, checked by its schema and by what a schema cannot tell.
   * @throws CoreError LESSON_UNREADABLE with the path, FORMAT_NEWER, or what prepareLesson throws
   */
  lesson(text: unknown, title = ''): Lesson {
    const lesson = readLesson(text, title && `“${title}”`, checkOf(LessonSchema));
    prepareLesson(lesson);
    return lesson;
  },
  dialBuild: (text: string, name: string): DialBuild => readDialBuild(text, `“${name}”`, checkOf(DialBuildSchema)),
  room: (text: string, lesson: Lesson): RoomState => readRoomState(text, lesson, checkOf(RoomStateSchema)),
  run: (text: string, pupil: string): Run => readRun(text, pupil, checkOf(RunSchema)),
  response: (text: string, pupil: string): Response => readResponse(text, pupil, checkOf(ResponseSchema)),
  /** An answer in a file of results. @throws CoreError RESULTS_UNREADABLE with the path, FORMAT_NEWER */
  result: (row: unknown, place: string): ResultRow => readResult(row, place, checkOf(ResultRowSchema)),
  /** The plan of a class. @throws CoreError PLAN_UNREADABLE with the path, FORMAT_NEWER */
  plan(text: unknown, className: string): ClassPlan {
    const plan = readPlan(text, `“${className}”`, checkOf(ClassPlanSchema));
    checkPlan(plan);
    return plan;
  },
  /** A class in its archive. @throws CoreError CLASS_UNREADABLE with the path, FORMAT_NEWER */
  classFile: (data: unknown): ClassFile => readClassFile(data, checkOf(ClassFileSchema)),
  /** A take. @throws CoreError TAKE_UNREADABLE with the path, FORMAT_NEWER */
  take: (text: unknown, step: string): Take => readTake(text, step, checkOf(TakeSchema)),
  mark: (text: string, pupil: string): Mark => readMark(text, pupil, checkOf(MarkSchema)),
};
