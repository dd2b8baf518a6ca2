export { type Data, Problem } from './shared.js';
export { DialBuildSchema, LessonSchema } from './lesson-file.js';
export { KIND_SCHEMAS, ItemSchema, ItemViewSchema, ResponseSchema } from './question-kinds/registry.js';
export { MarkedResponse, MarkSchema, ResponseKept, ResponsePost } from './responses.js';
export {
  ClassDetail,
  ClassList,
  ClassSummary,
  CommandDone,
  CommandPost,
  LessonDetail,
  LessonList,
  LessonSave,
  LessonSaved,
  LessonSummary,
  Me,
  Participant,
  Pupil,
  PupilAdd,
  PupilRename,
  RoomKeySchema,
  RoomStateSchema,
  SessionDetail,
  SessionList,
  SessionLive,
  SessionStart,
  SessionSummary,
  SetUp,
  SignIn,
  Teacher,
} from './teacher.js';
export { BeatKeep, BeatKept, DialOrder, DialSave, DialSaved, SavedDial, SavedDialList, ShownStage } from './dials.js';
export { DeskView, Join, RoomFound, RoomLookup, Waiting } from './desk.js';
export { ClientMessage, DeskMessage, DeskMessageShell, TeacherMessage } from './sockets.js';
