export { type Data, Problem } from './shared.js';
export { DialBuildSchema, LessonSchema } from './lesson-file.js';
export { StageStateSchema } from './stage.js';
export { SHAPE_IDS, shapeView } from './shapes/shapes.js';
export { KIND_SCHEMAS, ItemSchema, ItemViewSchema, ResponseSchema } from './question-kinds/registry.js';
export { LONGEST_WAIT_MS, MarkedResponse, MarkSchema, ResponseKept, ResponsePost } from './responses.js';
export {
  Addresses,
  ClassDetail,
  ClassList,
  ClassSummary,
  CommandDone,
  CommandPost,
  CountLate,
  Clip,
  ClipIn,
  DraftWish,
  LessonDetail,
  LessonFileIn,
  LessonList,
  LessonSave,
  LessonSaved,
  LessonSummary,
  LetIn,
  Me,
  Outside,
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
export { BeatKeep, BeatKept, DialOrder, DialSave, DialSaved, NoteKeep, SavedDial, SavedDialList, ShownStage } from './dials.js';
export { ClassPlanSchema, PlanDetail, PlanSaved } from './plan.js';
export { DeskView, Join, Knock, KnockAnswer, RoomFound, RoomLookup, Waiting } from './desk.js';
export { ClientMessage, DeskMessage, DeskMessageShell, TeacherMessage } from './sockets.js';
