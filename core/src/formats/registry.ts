import { classFileFormat } from './class-file/class-file.js';
import { dialBuildFormat } from './dial-build/dial-build.js';
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

/** Everything that is stored as JSON, by the name of its folder, here and among the old files. */
export const STORED_FORMATS = {
  lesson: lessonFormat,
  'dial-build': dialBuildFormat,
  'room-state': roomStateFormat,
  mark: markFormat,
  response: responseFormat,
  waiting: waitingFormat,
  stage: stageFormat,
  plan: planFormat,
  run: runFormat,
  result: resultFormat,
  take: takeFormat,
  'class-file': classFileFormat,
} as const;

export type StoredFormatId = keyof typeof STORED_FORMATS;
