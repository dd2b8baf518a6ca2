import type { ResultRow } from '../insight/result-row.js';
import type { Lesson } from '../lesson/lesson.js';
import type { DialBuild } from '../stage/dial-build.js';
import type { RoomState } from '../live/room.js';
import type { Mark } from '../question-kinds/question-kind.js';
import type { ClassPlan } from '../series/plan.js';
import type { Response } from '../question-kinds/registry.js';
import type { Run } from '../run/run.js';
import type { StageState } from '../scene/stage-state.js';
import type { Take } from '../voice/take.js';
import { classFileFormat, type ClassFile } from './class-file/class-file.js';
import { dialBuildFormat } from './dial-build/dial-build.js';
import { readThrough, stamped } from './door.js';
import type { Check } from './format.js';
import { lessonFormat } from './lesson/lesson.js';
import { markFormat } from './mark/mark.js';
import { planFormat } from './plan/plan.js';
import { resultFormat } from './result/result.js';
import { responseFormat } from './response/response.js';
import { roomStateFormat } from './room-state/room-state.js';
import { runFormat } from './run/run.js';
import { stageFormat } from './stage/stage.js';
import { takeFormat } from './take/take.js';
import { waitingFormat } from './waiting/waiting.js';

// The one door for everything stored: the only place where stored JSON is parsed or written, on the server, in the browser
// and for files that come in. The checks of the newest version are handed in: the core has no schemas.
//
// Each reader throws CoreError FORMAT_NEWER, or the code of its format with the path to what is wrong.

/** A lesson, from the database or from a file. */
export function readLesson(text: unknown, named: string, check: Check): Lesson {
  return readThrough(lessonFormat, text, check, named, undefined);
}
export const writeLesson = (lesson: Lesson): string => JSON.stringify(stamped(lessonFormat, lesson));

export function readDialBuild(text: unknown, named: string, check: Check): DialBuild {
  return readThrough(dialBuildFormat, text, check, named, undefined);
}
export const writeDialBuild = (build: DialBuild): string => JSON.stringify(stamped(dialBuildFormat, build));

/** @param lesson the one that the room teaches, read already */
export function readRoomState(text: unknown, lesson: Lesson, check: Check): RoomState {
  return readThrough(roomStateFormat, text, check, `“${lesson.title}”`, lesson);
}
export const writeRoomState = (room: RoomState): string => JSON.stringify(stamped(roomStateFormat, room));

export function readMark(text: unknown, named: string, check: Check): Mark {
  return readThrough(markFormat, text, check, named, undefined);
}
export const writeMark = (mark: Mark): string => JSON.stringify(stamped(markFormat, mark));

export function readResponse(text: unknown, named: string, check: Check): Response {
  return readThrough(responseFormat, text, check, named, undefined);
}
export const writeResponse = (response: Response): string => JSON.stringify(stamped(responseFormat, response));

export function readPlan(text: unknown, named: string, check: Check): ClassPlan {
  return readThrough(planFormat, text, check, named, undefined);
}
export const writePlan = (plan: ClassPlan): string => JSON.stringify(stamped(planFormat, plan));

export function readRun(text: unknown, named: string, check: Check): Run {
  return readThrough(runFormat, text, check, named, undefined);
}
export const writeRun = (run: Run): string => JSON.stringify(stamped(runFormat, run));

/** An answer in a file of results. @param named the file and the place in it */
export function readResult(row: unknown, named: string, check: Check): ResultRow {
  return readThrough(resultFormat, row, check, named, undefined);
}
/** The same as an object: files of results spread it over their columns. */
export const writeResult = (row: ResultRow): object => stamped(resultFormat, row);

/** What is kept of a take beside its sound. @param named the step it belongs to */
export function readTake(text: unknown, named: string, check: Check): Take {
  return readThrough(takeFormat, text, check, named, undefined);
}
export const writeTake = (take: Take): string => JSON.stringify(stamped(takeFormat, take));

export function readStage(text: unknown, check: Check): StageState {
  return readThrough(stageFormat, text, check, '', undefined);
}
export const writeStage = (stage: StageState): string => JSON.stringify(stamped(stageFormat, stage));

/** An answer that waits on a pupil's device, as that device kept it. */
export function readWaiting<T>(kept: unknown, check: Check): T {
  return readThrough(waitingFormat, kept, check, '', undefined);
}
/** The same as an object: a browser's database keeps objects. */
export const writeWaiting = (waiting: object): object => stamped(waitingFormat, waiting);

/** A class in its archive. */
export function readClassFile(text: unknown, check: Check): ClassFile {
  return readThrough(classFileFormat, text, check, 'in this archive', undefined);
}
export const writeClassFile = (file: ClassFile): string => JSON.stringify(stamped(classFileFormat, file));
