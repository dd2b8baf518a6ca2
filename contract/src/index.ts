export {
  ClosingCheck,
  Closing,
  HandOver,
  HandOverCheck,
  MyAccount,
  NameChange,
  PasswordChange,
  PasswordReset,
  ResetMade,
  SecondFactorBegun,
  SecondFactorConfirm,
  SecondFactorEnd,
} from './accounts.js';
export { ActList, ActsKeep, ACT_NAMES, type ActName } from './acts.js';
export { Health } from './health.js';
export { COUNTS, PARTS, RATES, SIZES, type CountName } from './limits.js';
export { BackupStatus } from './backups.js';
export { type Data, Problem, Uuid } from './shared.js';
export { DialBuildSchema, LessonSchema } from './lesson-file.js';
export { StageStateSchema } from './stage.js';
export { SHAPE_IDS, shapeView } from './shapes/shapes.js';
export { KIND_SCHEMAS, ItemSchema, ItemViewSchema, ResponseSchema } from './question-kinds/registry.js';
export { LONGEST_WAIT_MS, MarkedResponse, MarkSchema, ResponseEntered, ResponseKept, ResponsePost } from './responses.js';
export { Invite, Invited, Me, SetUp, SignIn, Staff, Teacher } from './staff.js';
export {
  CardsMade,
  CardsWish,
  ClassAdd,
  ClockLeap,
  ClassChange,
  ClassDetail,
  ClassList,
  ClassPupil,
  ClassSummary,
  DataRecord,
  KeepDays,
  Pupil,
  PupilChange,
  PupilLeave,
  PupilMerge,
  PupilMove,
  PupilsIn,
  RetentionCheck,
  RosterFile,
  type DataAct,
} from './classes.js';
export {
  Addresses,
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
  LessonAdded,
  LessonSaved,
  LessonSummary,
  LetIn,
  Outside,
  Participant,
  Passing,
  RoomKeySchema,
  RoomStateSchema,
  RunSchema,
  SessionDetail,
  SessionList,
  SessionLive,
  SessionStart,
  SessionSummary,
} from './teacher.js';
export { BeatKeep, BeatKept, DialOrder, DialRead, DialSave, DialSaved, NoteKeep, SavedDial, SavedDialList, ShownStage } from './dials.js';
export { ClassPlanSchema, DaysFound, PlanDetail, PlanSaved } from './plan.js';
export {
  BesideJoin,
  CardJoin,
  CardRead,
  CardShown,
  DeskView,
  Join,
  Knock,
  KnockAnswer,
  NextLesson,
  OwnGo,
  ReadyPost,
  RoomFound,
  RoomLookup,
  ShownPost,
  Waiting,
} from './desk.js';
export { ResultRowSchema } from './results.js';
export { ClientMessage, DeskMessage, DeskMessageShell, TeacherMessage } from './sockets.js';
export {
  OwnPaceChange,
  OwnPaceDetail,
  OwnPaceLine,
  OwnPaceLive,
  OwnPaceMessage,
  OwnPaceProgress,
  OwnPaceStart,
  OwnPlace,
} from './own-pace.js';
export { MOST_SIMULATED, RehearsalStart, SimulatedWish } from './simulated.js';
export {
  ClassStanding,
  AcceptedWording,
  Comment,
  CommentAdd,
  GroupMove,
  HomePageEdit,
  HomePageKept,
  InsightLine,
  MarkCorrect,
  ResultsTaken,
  ReviewNotes,
  WordingAccept,
} from './review.js';
export { CuesChange, RecordingDetail, RecordingKeep, TakeBegin, TakePieces, TakeSchema } from './voice.js';
export { SheetAnswers, SheetAnswersOpen, SheetDetail, SheetFound, SheetKeep, SheetKept, SheetList, SheetOfSession } from './paper.js';
export { QuestionsFound } from './questions.js';
export { ArchiveFound, ClassFileSchema } from './archive.js';
