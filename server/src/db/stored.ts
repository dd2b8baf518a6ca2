import type { ClassFile } from '@zeitpunkt/core/formats/class-file/class-file';
import {
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
} from '@zeitpunkt/core/formats/stored';
import type { ResultRow } from '@zeitpunkt/core/insight/result-row';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import type { RoomState } from '@zeitpunkt/core/live/room';
import type { Mark } from '@zeitpunkt/core/question-kinds/question-kind';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';
import type { Run } from '@zeitpunkt/core/run/run';
import { checkPlan } from '@zeitpunkt/core/series/check-plan';
import type { ClassPlan } from '@zeitpunkt/core/series/plan';
import type { DialBuild } from '@zeitpunkt/core/stage/dial-build';
import type { Take } from '@zeitpunkt/core/voice/take';
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
