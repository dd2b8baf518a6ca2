export { Problem } from './shared.js';
export { DialBuildSchema, LessonSchema } from './lesson-file.js';
export { MarkedResponse, ResponseKept, ResponsePost, ResponseSchema } from './responses.js';
export {
  ClassList,
  ClassSummary,
  CommandDone,
  CommandPost,
  LessonDetail,
  LessonList,
  LessonSummary,
  Me,
  Participant,
  Pupil,
  RoomKeySchema,
  SessionDetail,
  SessionList,
  SessionLive,
  SessionStart,
  SessionSummary,
  SetUp,
  SignIn,
  Teacher,
} from './teacher.js';
export { BeatKeep, BeatKept, DialOrder, DialSave, SavedDial, SavedDialList, ShownStage } from './dials.js';
export { DeskView, Join, RoomFound, RoomLookup } from './desk.js';
export { ClientMessage, DeskMessage, TeacherMessage } from './sockets.js';
